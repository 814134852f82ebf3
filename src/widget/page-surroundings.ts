import { type ServerClock, wakeBy } from './clock';
import { type Surroundings, deviceMinutesEast, deviceOf } from './surroundings';

/** Our element on somebody's page, its shadow root, and the page's surroundings. */
export function pageSurroundings(clock: ServerClock): { host: HTMLElement; surroundings: Surroundings } {
  const host = document.createElement('sunny-porch');
  const root = host.attachShadow({ mode: 'open' });
  const device = () => deviceOf(innerWidth, innerHeight);
  return {
    host,
    surroundings: {
      root,
      now: clock.now,
      wakeAt: wakeBy(clock.now),
      width: () => innerWidth,
      device,
      kind: () => (matchMedia('(hover: hover) and (pointer: fine)').matches ? 'desktop' : device()),
      scheme: () =>
        pageSupportsDark() && matchMedia('(prefers-color-scheme: dark)').matches ? 'evening' : 'day',
      minutesEast: deviceMinutesEast,
    },
  };
}

/** A dark window on a light page shocks: dark only where the page declares that it supports it. */
function pageSupportsDark(): boolean {
  const declared = document.querySelector<HTMLMetaElement>('meta[name="color-scheme"]')?.content ?? '';
  return `${declared} ${getComputedStyle(document.documentElement).colorScheme}`.includes('dark');
}

/** The page's own body font, so that the widget looks like a part of it. */
export function pageFont(): string {
  return document.body === null ? '' : getComputedStyle(document.body).fontFamily;
}

/** Wishes for a language in order ([T1]): the tag's, the page's, the browser's. */
export function preferredLocalesFor(tagLang: string | null): string[] {
  return [tagLang, document.documentElement.lang, ...navigator.languages].filter((one): one is string =>
    Boolean(one),
  );
}
