import type { Circumstances } from '../model/circumstances';
import type { Behaviour, Moment, WidgetState } from '../model/moment';
import { type EpochMs, SECOND_MS } from '../model/units';
import type { WireWidget } from '../wire/design-file';
import { type ConversationFacts, RESUMES_WITHIN_MS } from '../model/conversation';
import type { ReasonCode } from './reason';

export interface MomentVerdict {
  readonly moment: Moment;
  readonly code: ReasonCode;
  /** When time alone leads on; Infinity: it does not. */
  readonly next: EpochMs;
}

/** What a moment depends on besides the visitor. */
export interface MomentGround {
  readonly state: WidgetState;
  readonly behaviour: Behaviour;
  readonly timings: WireWidget['timings'];
  readonly talks?: WireWidget['talks'];
}

/** Where a visitor stands ([M1]–[M5]), from the conversation's facts, the behaviour of the state and the widget's timings. */
export function momentOf(circumstances: Circumstances, ground: MomentGround): MomentVerdict {
  const { conversation, invited, isWindowOpen, now } = circumstances;
  if (!isWindowOpen)
    return invited === null ? verdict('passing-by', 'window-closed') : verdict('invited', 'invitation-shown');
  if (conversation === null) return byBehaviour(circumstances, ground, 'deed-of-state');
  const standing = hasGoneQuiet(conversation, ground.timings, now) ? 'ended' : conversation.standing;
  // [M6] What is written at a goodbye, or under an answered note, waits first, however soon somebody joins.
  if ((standing === 'asked' || standing === 'joined') && isSettled(circumstances))
    return verdict('waiting', 'asked');
  switch (standing) {
    case 'joined':
      return whileTalking(conversation, ground, now);
    case 'asked':
      return whileWaiting(conversation, circumstances, ground);
    case 'note':
      return verdict('note-left', 'note-sent');
    case 'ended':
      return afterGoodbye(conversation, circumstances, ground);
  }
}

function isSettled({ moment }: Circumstances): boolean {
  return moment === 'goodbye' || moment === 'note-left';
}

/** [M4] Something else may be asked at once, or, where that is not offered, once goodbye was said a while ago. */
function afterGoodbye(
  conversation: ConversationFacts,
  circumstances: Circumstances,
  ground: MomentGround,
): MomentVerdict {
  if (circumstances.asksAgain) return byBehaviour(circumstances, ground, 'asks-again');
  if (ground.talks?.offersAgain !== false) return verdict('goodbye', 'ended');
  const opens = (conversation.endedMs ?? quietAt(conversation, ground)) + RESUMES_WITHIN_MS;
  return circumstances.now < opens
    ? verdict('goodbye', 'ended', opens)
    : byBehaviour(circumstances, ground, 'asks-again');
}

/** [M6] From *goodbye* and *invited* the way leads to the door first (*asked again*, *invitation accepted*), and from there on (*availability lost*). */
function byBehaviour({ moment }: Circumstances, ground: MomentGround, code: ReasonCode): MomentVerdict {
  const isAtDoor = ground.behaviour !== 'note' || moment === 'goodbye' || moment === 'invited';
  return verdict(isAtDoor ? 'at-the-door' : 'nobody-home', code);
}

/** [M4] Ended by quiet hours: the server says so too, at the latest when it looks. */
export function hasGoneQuiet(
  { standing, lastMs }: Pick<ConversationFacts, 'standing' | 'lastMs'>,
  { endsAfterQuiet }: WireWidget['timings'],
  now: EpochMs,
): boolean {
  return (standing === 'asked' || standing === 'joined') && now >= lastMs + endsAfterQuiet * SECOND_MS;
}

function quietAt({ lastMs }: ConversationFacts, { timings }: MomentGround): EpochMs {
  return lastMs + timings.endsAfterQuiet * SECOND_MS;
}

/** [M3] In *talking* a slow reply is offered only where it is switched on. */
function whileTalking(conversation: ConversationFacts, ground: MomentGround, now: EpochMs): MomentVerdict {
  const after = ground.timings.slowReplyTalkingAfter ?? null;
  const { waitingMs } = conversation;
  const at = after === null || waitingMs === null ? Infinity : waitingMs + after * SECOND_MS;
  const ends = quietAt(conversation, ground);
  return now >= at
    ? verdict('slow-reply', 'no-reply-yet', ends)
    : verdict('talking', 'joined', Math.min(at, ends));
}

/**
 * [M3] Whoever is left by their responder is at *slow reply* at once, with no delay and whatever is switched on.
 * [M5] *Slow reply* has asked for an address already, and stays until the answer, also when nobody can give it any
 * more. Who stands at *nobody home* with a question goes back to waiting first (*answer overdue* leads on from there).
 */
function whileWaiting(
  conversation: ConversationFacts,
  { moment, now }: Circumstances,
  ground: MomentGround,
): MomentVerdict {
  const ends = quietAt(conversation, ground);
  if (conversation.leftMs) return verdict('slow-reply', 'responder-left', ends);
  if (moment === 'slow-reply') return verdict('slow-reply', 'no-reply-yet', ends);
  if (!canBeAnswered(ground.behaviour))
    return ground.talks?.keepsWaiting === true
      ? verdict('slow-reply', 'nobody-left-to-answer', ends)
      : verdict('nobody-home', 'nobody-left-to-answer', ends);
  const at = slowReplyAt(conversation, ground);
  if (now < at) return verdict('waiting', 'asked', Math.min(at, ends));
  return moment === 'nobody-home'
    ? verdict('waiting', 'asked', ends)
    : verdict('slow-reply', 'no-reply-yet', ends);
}

function slowReplyAt({ waitingMs, askedMs }: ConversationFacts, { state, timings }: MomentGround): EpochMs {
  const after = state === 'nearby' ? timings.slowReplyNearbyAfter : timings.slowReplyAfter;
  return (waitingMs ?? askedMs) + after * SECOND_MS;
}

/** [M5] Chat and queue lead to a person; the other behaviours do not. */
function canBeAnswered(behaviour: Behaviour): boolean {
  return behaviour === 'chat' || behaviour === 'queue';
}

function verdict(moment: Moment, code: ReasonCode, next: EpochMs = Infinity): MomentVerdict {
  return { moment, code, next };
}
