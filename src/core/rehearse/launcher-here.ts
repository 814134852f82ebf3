import { compileSite } from '../decide/compile-site';
import { decide } from '../decide/decide';
import { type EpochMs, SECOND_MS } from '../model/units';
import type { VisitSimulation } from './visit';

/** How a launcher stands on a page: it is there, it comes by itself at an instant, or there is none to be clicked. */
export type LauncherHere =
  { readonly kind: 'there' | 'none' } | { readonly kind: 'comes'; readonly at: EpochMs };

const THERE: LauncherHere = { kind: 'there' };
const NONE: LauncherHere = { kind: 'none' };

/**
 * As the guest does it on a page: a delay counts from when the page was loaded, and nobody who was invited or has an
 * answer to read waits for it; on a device without launcher an unread answer brings it back.
 */
export function launcherHere(simulation: VisitSimulation): LauncherHere {
  const { site, circumstances, loadedAt } = simulation;
  const { visitor, unread, invited, isWindowOpen, now } = circumstances;
  const widget = compileSite(site).widget(decide(site, circumstances).widget);
  if (widget === undefined) return NONE;
  const { hiddenOn = [], delay = 0 } = widget.launcher;
  if (hiddenOn.includes(visitor.device) && unread === 0) return NONE;
  const at = loadedAt + delay * SECOND_MS;
  return at > now && !isWindowOpen && invited === null && unread === 0 ? { kind: 'comes', at } : THERE;
}
