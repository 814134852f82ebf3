import { isDropped } from './dropped';

/** A page's address as the rules see it ([P2]). All parts are canonical ([P3]), none holds scheme, name or password. */
export interface Address {
  /** Lower-case, punycode, no final dot, `:port` unless it is the scheme's. */
  readonly host: string;
  /** Begins with `/`; one final slash dropped ([P4]). */
  readonly path: string;
  /** Every pair in order, decoded as form data ([P5]). */
  readonly query: readonly (readonly [name: string, value: string])[];
  /** Without `#`. */
  readonly fragment: string;
  /** Host + path + `?` + the kept pairs, cut to 2,048 code units ([P5], [P6]). */
  readonly whole: string;
}

const WHOLE_UNITS_MAX = 2048;

/** Reads an address by the WHATWG parser; null where it is none, or neither http nor https ([P1]). */
export function toAddress(href: string): Address | null {
  const url = parsed(href);
  if (url === null || (url.protocol !== 'http:' && url.protocol !== 'https:')) return null;
  const host = url.host.replace(/\.(?=$|:)/, '');
  const path = withoutFinalSlash(canonicalEscapes(url.pathname));
  const kept = url.search.slice(1).split('&').filter(isKeptPair).map(canonicalEscapes).join('&');
  return {
    host,
    path,
    query: [...new URLSearchParams(url.search)],
    fragment: canonicalEscapes(url.hash.slice(1)),
    whole: (host + path + (kept === '' ? '' : `?${kept}`)).slice(0, WHOLE_UNITS_MAX),
  };
}

function parsed(href: string): URL | null {
  try {
    return new URL(href);
  } catch {
    return null; // no address
  }
}

/**
 * [P3] Percent triplets in one spelling: hex in capitals, those of unreserved characters (RFC 3986, 2.3) decoded once,
 * left to right; malformed ones stay. A digit whose decoding would complete a broken triplet before it stays
 * escaped, or a second pass would read on (`%%37E`).
 */
export function canonicalEscapes(text: string): string {
  let out = '';
  for (let at = 0; at < text.length; at++) {
    const triplet = text.slice(at, at + 3);
    if (!/^%[0-9a-f]{2}$/i.test(triplet)) {
      out += text[at];
      continue;
    }
    const character = String.fromCharCode(parseInt(triplet.slice(1), 16));
    const completes = /[0-9a-f]/i.test(character) && /%[0-9a-f]?$/i.test(out) && !/%[0-9a-f]{2}$/i.test(out);
    out += /[\w.~-]/.test(character) && !completes ? character : triplet.toUpperCase();
    at += 2;
  }
  return out;
}

/** [P4] Drops one final slash; the root stays. */
export function withoutFinalSlash(path: string): string {
  return path.length > 1 && path.endsWith('/') ? path.slice(0, -1) : path;
}

function isKeptPair(pair: string): boolean {
  const [first] = new URLSearchParams(pair);
  return first === undefined ? pair !== '' : !isDropped(first[0]);
}
