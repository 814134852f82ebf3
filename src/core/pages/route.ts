/**
 * [P18] Whether an address begins a new page view after another: host, path or query differ, or its fragment is one
 * that stands for a page (`#/…`, `#!/…`). Any other fragment only leads to deciding again.
 */
export function isNewPageView(from: string, to: string): boolean {
  const [fromPage, fromFragment = ''] = split(from);
  const [toPage, toFragment = ''] = split(to);
  return fromPage !== toPage || (fromFragment !== toFragment && /^!?\//.test(toFragment));
}

function split(href: string): string[] {
  const at = href.indexOf('#');
  return at < 0 ? [href] : [href.slice(0, at), href.slice(at + 1)];
}
