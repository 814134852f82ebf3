import { APPROACH, AT_MOST, INVITATION_ID, NEEDS_MEMORY, OWN_DAYS, WHEN } from '../wire/invitation';
import type { DecisionContext } from '../context/decision-context';
import { zoneOf } from '../hours/hours-now';
import { isRunning } from '../model/circumstances';
import type { Circumstances } from '../model/circumstances';
import { DAY_MS, type EpochMs, SECOND_MS } from '../model/units';
import type { WireInvitation } from '../wire/design-file';
import { limitsOf } from '../wire/limits';
import {
  type JudgeContext,
  FOCUS,
  type Judgement,
  SIGNALS,
  type Signal,
  type SignalBits,
  judge,
} from './judge';

/** What becomes of the invitations of a widget right now. */
export interface DueVerdict {
  /** The one that is due ([I3]); it is shown only on a fresh word about people. */
  readonly due: string | null;
  /** The one to take away ([I8]). */
  readonly withdraw: string | null;
  readonly next: EpochMs;
  readonly on: readonly Signal[];
}

const NONE: DueVerdict = { due: null, withdraw: null, next: Infinity, on: [] };

/**
 * [I3], [I4] The first in the list that is ready and free, while nothing is shown, the window is closed, launcher and
 * page are visible, and nobody is typing.
 */
export function dueOf(context: DecisionContext): DueVerdict {
  const { circumstances, isCountOnly } = context;
  const { invited } = circumstances;
  const scanned = isCountOnly || context.widget.invitations.length === 0 ? NONE : scan(context);
  // What others wait for is heard also while one is on the screen: a latch that closes then stays closed.
  return invited === null ? scanned : { ...stays(context, invited.id), on: scanned.on };
}

function scan(context: DecisionContext): DueVerdict {
  const { circumstances, widget } = context;
  const { page, now } = circumstances;
  const free = freeAt(context);
  if (free === Infinity) return NONE;
  const asked = askedOf(context);
  const isBlocked = circumstances.isWindowOpen || !page.isVisible || circumstances.invited !== null;
  let due: string | null = null;
  let next = Infinity;
  let on: SignalBits = 0;
  for (const invitation of widget.invitations) {
    const own = Math.max(free, ownFreeAt(invitation, circumstances));
    if (own === Infinity || isIdleStir(invitation, circumstances)) continue;
    const ready = judge(invitation[WHEN], asked);
    if (!ready.is && ready.next === Infinity && ready.on === 0) continue;
    on |= ready.on | FOCUS;
    if (isBlocked || due !== null) continue;
    if (!ready.is || own > now) next = Math.min(next, Math.max(ready.is ? 0 : ready.next, own));
    else if (!page.isTyping) {
      due = invitation[INVITATION_ID];
      next = Math.min(next, ready.next, closingEdge(context));
    }
  }
  return { due, withdraw: null, next, on: signalsOf(on) };
}

/** What the conditions of a settled widget are held against. */
export function askedOf({ site, circumstances, page, presence }: DecisionContext): JudgeContext {
  return {
    circumstances,
    address: page.address,
    takes: page.takes(circumstances),
    state: presence.lastReport,
    stateNext: presence.hours?.changesAt ?? Infinity,
    zone: zoneOf(site, site.facts.zone),
    statesOnly: false,
  };
}

function signalsOf(bits: SignalBits): readonly Signal[] {
  return bits === 0 ? [] : SIGNALS.filter((_, place) => bits & (1 << place));
}

/** [I10] Under reduced motion a stir does nothing, and is not counted. */
function isIdleStir(invitation: WireInvitation, { visitor }: Circumstances): boolean {
  return invitation[APPROACH] === 'stir' && visitor.isStill;
}

/** [I8] What is shown stays, unless one of its state conditions fails; it then goes without a *no*. */
function stays(context: DecisionContext, id: string): DueVerdict {
  const shown = context.widget.invitations.find((one) => one[INVITATION_ID] === id);
  const judged: Judgement | null =
    shown === undefined ? null : judge(shown[WHEN], { ...askedOf(context), statesOnly: true });
  const isOver = judged === null || !judged.is || context.isCountOnly;
  return { ...NONE, withdraw: isOver ? id : null, next: judged?.next ?? Infinity };
}

/** [I6] When the site's limits allow one again: an instant that may have passed, Infinity where time alone does not bring it. */
export function freeAt(context: DecisionContext): EpochMs {
  const { site, circumstances } = context;
  const { perVisit, gap, afterTalk } = limitsOf(site.design);
  const { page, memory, level, conversation, now } = circumstances;
  const visit = level === 'kept' ? memory.visit : null;
  const shown = visit?.shown ?? page.shown.length;
  if (page.hasOpened || page.hasDeclined || shown >= (visit === null ? Math.min(1, perVisit) : perVisit))
    return Infinity;
  if (isRunning(circumstances)) return Infinity;
  const left = Math.max(page.leftAt ?? 0, visit?.leftAt ?? 0);
  return Math.max(
    memory.restUntil ?? 0,
    left === 0 ? 0 : left + gap * SECOND_MS,
    now >= closingEdge(context) ? (context.presence.hours?.changesAt ?? 0) : 0,
    conversation === null ? 0 : conversation.lastMs + afterTalk * SECOND_MS,
  );
}

/** [I6] From when on nobody is invited to a door that is about to close; Infinity: it does not close. */
export function closingEdge({
  site,
  presence: { hours },
}: Pick<DecisionContext, 'site' | 'presence'>): EpochMs {
  return hours !== null && hours.isOpen
    ? hours.changesAt - limitsOf(site.design).beforeClosing * SECOND_MS
    : Infinity;
}

/** [I5], [I13] When its own limit allows it again; what would need a memory that is not kept never does. */
export function ownFreeAt(invitation: WireInvitation, { page, memory, level }: Circumstances): EpochMs {
  const id = invitation[INVITATION_ID];
  const days = invitation[OWN_DAYS];
  if (invitation[NEEDS_MEMORY] && (level !== 'kept' || memory.visit === null)) return Infinity;
  if (days === ONCE_PER_PAGE && page.shown.includes(id)) return Infinity;
  const counted = memory.counts[id];
  if (!Array.isArray(counted)) return 0; // also where the id is a name that every object has
  const [visit, total, at] = counted;
  if (invitation[AT_MOST] > 0 && total >= invitation[AT_MOST]) return Infinity;
  if (days === PER_VISITOR || (days === PER_VISIT && visit === memory.visit?.number)) return Infinity;
  return days > 0 ? at + days * DAY_MS : 0;
}

export const ONCE_PER_PAGE = 0;
export const PER_VISIT = -1;
export const PER_VISITOR = -2;
