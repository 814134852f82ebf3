import type { EpochMs } from '../../core/model/units';
import type { DeskConversation } from '../../core/wire/desk';
import { CONVERSATIONS_WORDS } from '../wording/screens/conversations';
import { SHARED_WORDS } from '../wording/screens/shared';

export interface ConversationGroup {
  readonly title: string;
  readonly conversations: readonly DeskConversation[];
}

/** Whether somebody of ours is to say or do something: a visitor waits, whoever answered has left, or a question was missed. */
export function isOurTurn(one: DeskConversation): boolean {
  if (one.isDone || isNote(one)) return false;
  return one.status === 'asked' || one.waitingSinceMs !== null;
}

/** Since when it is our turn. */
export function ourTurnSince({ waitingSinceMs, leftMs, askedMs }: DeskConversation): EpochMs {
  return waitingSinceMs ?? leftMs ?? askedMs;
}

/** A note, or a question that was missed and can be answered by e-mail. */
function isNote({ status, visitorMail }: DeskConversation): boolean {
  return status === 'note' || (status === 'ended' && visitorMail !== null);
}

/** Grouped by whose turn it is; first what was left by whoever looks, then who waits longest. */
export function groupsOf(
  list: readonly DeskConversation[],
  youId: string | null = null,
): ConversationGroup[] {
  const isLeft = ({ leftMs, responderId }: DeskConversation): number =>
    leftMs !== null && responderId === youId ? 0 : 1;
  const forUs = list
    .filter(isOurTurn)
    .sort((a, b) => isLeft(a) - isLeft(b) || ourTurnSince(a) - ourTurnSince(b));
  const open = list.filter((one) => !one.isDone && !isOurTurn(one));
  const notes = open.filter(isNote).sort((a, b) => a.askedMs - b.askedMs);
  return [
    { title: SHARED_WORDS.yourTurn, conversations: forUs },
    { title: CONVERSATIONS_WORDS.theirTurn, conversations: open.filter((one) => !isNote(one)) },
    { title: SHARED_WORDS.notes, conversations: notes },
    { title: CONVERSATIONS_WORDS.done, conversations: list.filter(({ isDone }) => isDone) },
  ];
}
