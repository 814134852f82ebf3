import type { Level } from '../core/model/circumstances';

/** What the snippet says. */
export interface Tag {
  readonly siteKey: string;
  /** Origin of our server, from the script's own address. */
  readonly origin: string;
  readonly widget: string | null;
  readonly lang: string | null;
  /** [V7] */
  readonly level: Level;
  /** [P16] */
  readonly country: string | null;
}

/** Reads our own tag; null where it names no site. */
export function readTag(script: HTMLScriptElement | null): Tag | null {
  const siteKey = script?.dataset.site ?? '';
  if (script === null || !/^[a-z0-9]{12}$/.test(siteKey)) return null;
  const { consent, widget = null, lang = null, country = null } = script.dataset;
  return {
    siteKey,
    origin: new URL(script.src).origin,
    widget,
    lang,
    country,
    level: consent === 'wait' ? 'none' : consent === 'given' ? 'kept' : 'asked',
  };
}
