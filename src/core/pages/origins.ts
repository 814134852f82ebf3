const CHARS_MAX = 200;
const LOCAL = /^(localhost|127\.\d+\.\d+\.\d+|\[::1\]|.+\.(localhost|test|local))$/;

/**
 * An address that may carry the widget, as it is stored: an origin such as `https://farrowisle.example:8443`, or
 * `https://*.farrowisle.example` for all of its subdomains. What people type may lack the scheme or have a path. Null: it is
 * no such address.
 */
export function readOrigin(typed: string): string | null {
  const text = typed.trim().toLowerCase();
  if (text === '' || text.length > CHARS_MAX) return null;
  const [scheme = '', rest = text] = /^(https?:\/\/)(.*)$/.exec(text)?.slice(1) ?? ['', text];
  const hasSubdomains = rest.startsWith('*.');
  const bare = hasSubdomains ? rest.slice(2) : rest;
  const url = urlOf(`${scheme === '' ? schemeFor(bare) : scheme}${bare}`);
  if (url === null || bare.split('/')[0]?.includes('@')) return null;
  const { protocol, host } = url;
  const hostname = withoutPort(host);
  const isName = hostname.includes('.') || LOCAL.test(hostname);
  if (!isName || hostname.includes('*') || (hasSubdomains && /^[\d.[]/.test(hostname))) return null;
  return `${protocol}//${hasSubdomains ? '*.' : ''}${host}`;
}

/** Whether an origin is one of those that are stored. */
export function isListedOrigin(origin: string, stored: readonly string[]): boolean {
  return stored.some((one) => {
    const [scheme = '', rest = ''] = one.split('//*.');
    if (rest === '') return one === origin;
    return origin.startsWith(`${scheme}//`) && origin.slice(scheme.length + 2).endsWith(`.${rest}`);
  });
}

/** Whether an address is one to try things out at: only a computer of one's own or of a test has it. */
export function isTestOrigin(origin: string): boolean {
  const url = urlOf(origin.replace('//*.', '//'));
  return url !== null && LOCAL.test(withoutPort(url.host));
}

/** Whether nobody but the computer itself reaches an address. */
export function isOnlyHere(origin: string): boolean {
  const url = urlOf(origin);
  return url !== null && /^((.+\.)?localhost|\[::1\]|127\..*)$/.test(withoutPort(url.host));
}

function schemeFor(bare: string): string {
  return LOCAL.test(bare.split(/[/:]/)[0] ?? '') ? 'http://' : 'https://';
}

function withoutPort(host: string): string {
  return host.replace(/:\d+$/, '');
}

function urlOf(text: string): URL | null {
  return URL.canParse(text) ? new URL(text) : null;
}
