import { listen } from './surroundings';

/** Waits for the first idle moment after load, at the latest 3 s: it never competes with the page. A prerendered one waits to be seen ([V1]). */
export function whenIdle(call: () => void): void {
  const idle = (): void => {
    if ('requestIdleCallback' in window) requestIdleCallback(call, { timeout: 3 * 1000 });
    else setTimeout(call, 200);
  };
  if ((document as { prerendering?: boolean }).prerendering)
    listen(document, 'prerenderingchange', idle, { once: true });
  else if (document.readyState === 'complete') idle();
  else listen(window, 'load', idle, { once: true });
}
