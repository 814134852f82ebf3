/**
 * [threat 8] What a page of the application may load and run: our own files, scripts that carry this answer's nonce, and
 * pictures of the site in a frame of the stage; nothing inline but style attributes. `nonce` is base64.
 */
export function contentPolicy(nonce: string): string {
  const own = `'self' 'nonce-${nonce}'`;
  return [
    "default-src 'self'",
    `script-src ${own}`,
    `style-src ${own}`,
    `style-src-elem ${own} ${EMPTY_SHEET} ${TOAST_STYLES}`,
    "style-src-attr 'unsafe-inline'", // what is measured stands in attributes: widths, heights, places
    "img-src 'self' data: blob:",
    "font-src 'self' data:",
    'frame-src http: https:', // the owner's own site, behind the widget on the stage
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'self'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
}

/** From the proxy to the pages: the nonce of this answer. */
export const NONCE_HEADER = 'x-porch-nonce';

/** One that is filled later, by its rules: the toasts' own begins so. */
const EMPTY_SHEET = "'sha256-47DEQpj8HBSa+/TImW+5JCeuQeRkm5NMpJWZG3hSuFU='";

/** The one style sheet that the toasts' package adds by itself; a test tells when another version has another one. */
export const TOAST_STYLES = "'sha256-StEaX+se6YS7pqjzrzMIA0KaX9zF/8zAhvQXZAe5epY='";
