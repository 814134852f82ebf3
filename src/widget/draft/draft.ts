import type { PublishedSite } from '../../core/wire/published-site';
import type { ServerClock } from '../clock';
import { limitedFetch } from '../limited-fetch';
import type { Loader } from '../load';
import { BAND } from './band-style';

/** What the second file for a private view needs of the first. */
export interface DraftPort {
  readonly base: string;
  /** Name in this tab's own storage under which the preview token is kept. */
  readonly key: string;
  readonly clock: ServerClock;
  /** What everybody sees. */
  readonly live: Loader;
}

/** [threat 18] Reads the draft for whoever came by a private link, in this tab only; once the link is over, what is live. */
export function draftLoader({ base, key, clock, live }: DraftPort): Loader {
  let previewToken = takePreviewToken(key);
  return {
    async load(preferredLocales) {
      if (previewToken === null) return live.load(preferredLocales);
      const response = await limitedFetch(
        `${base}/draft.json?wishes=${encodeURIComponent(preferredLocales.join())}`,
        {
          headers: { Authorization: `Bearer ${previewToken}` },
        },
      );
      if (response.ok) {
        clock.setBy(response);
        const site = (await response.json()) as PublishedSite;
        showBand(`Only you see this: the draft of ${site.design.siteName}.`, () => {
          sessionStorage.removeItem(key);
          location.reload();
        });
        return site;
      }
      previewToken = null;
      sessionStorage.removeItem(key);
      showBand('The private view is over. You see what everybody sees.', null);
      return live.load(preferredLocales);
    },
  };
}

/** The preview token from the address, which is cleared of it, or from a page before in this tab. */
function takePreviewToken(key: string): string | null {
  const given = /^#sunny-porch-draft=([\w-]+)$/.exec(location.hash)?.[1];
  if (given === undefined) return sessionStorage.getItem(key);
  history.replaceState(history.state, '', location.pathname + location.search);
  sessionStorage.setItem(key, given);
  return given;
}

let band: { readonly text: HTMLElement; readonly button: HTMLElement } | null = null;

function showBand(words: string, end: (() => void) | null): void {
  band ??= buildBand();
  band.text.textContent = words;
  band.button.hidden = end === null;
  band.button.onclick = end;
}

function buildBand(): { readonly text: HTMLElement; readonly button: HTMLElement } {
  const host = document.createElement('sunny-porch-draft');
  const root = host.attachShadow({ mode: 'open' });
  const sheet = new CSSStyleSheet();
  sheet.replaceSync(BAND);
  root.adoptedStyleSheets = [sheet];
  const [text, button] = [document.createElement('span'), document.createElement('button')];
  text.setAttribute('role', 'status');
  button.textContent = 'End it';
  root.append(text, button);
  document.documentElement.append(host);
  return { text, button };
}
