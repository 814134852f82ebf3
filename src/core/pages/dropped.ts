/** [P5] Parameters that say where a visitor came from and never which page this is. */
const DROPPED = new Set([
  'fbclid',
  'gclid',
  'gbraid',
  'wbraid',
  'msclkid',
  'dclid',
  'yclid',
  'mc_cid',
  'mc_eid',
  'igshid',
  '_ga',
  '_gl',
]);

/** Whether a parameter takes no part in the page's whole address. */
export function isDropped(name: string): boolean {
  return name.startsWith('utm_') || DROPPED.has(name);
}
