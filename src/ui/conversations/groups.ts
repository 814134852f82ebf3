import type { DeskConversation } from '../../core/wire/desk';
import { CONVERSATIONS_WORDS } from '../wording/screens/conversations';
import { SHARED_WORDS } from '../wording/screens/shared';

export interface ConversationGroup {
  readonly title: string;
  readonly conversations: readonly DeskConversation[];
}

/** Grouped by whose turn it is; who waits longest stands first. */
export function groupsOf(list: readonly DeskConversation[]): ConversationGroup[] {
  const isRunning = ({ status }: DeskConversation): boolean => status === 'asked' || status === 'joined';
  const forUs = list
    .filter((one) => isRunning(one) && one.waitingSinceMs !== null)
    .sort((a, b) => (a.waitingSinceMs ?? 0) - (b.waitingSinceMs ?? 0));
  const forThem = list.filter((one) => isRunning(one) && one.waitingSinceMs === null);
  const notes = list.filter(({ status }) => status === 'note').sort((a, b) => a.askedMs - b.askedMs);
  const done = list.filter(({ status }) => status === 'ended');
  return [
    { title: SHARED_WORDS.yourTurn, conversations: forUs },
    { title: CONVERSATIONS_WORDS.theirTurn, conversations: forThem },
    { title: SHARED_WORDS.notes, conversations: notes },
    { title: CONVERSATIONS_WORDS.done, conversations: done },
  ];
}
