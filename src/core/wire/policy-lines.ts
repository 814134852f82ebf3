/**
 * What a page's Content-Security-Policy has to allow for the widget, by the list it belongs to. Styles come as
 * constructed sheets and fonts as bytes: they need none. `origin` is where the tag points to.
 */
export function policyLines(origin: string): readonly string[] {
  return ['script-src', 'connect-src', 'img-src'].map((list) => `${list} ${origin}`);
}
