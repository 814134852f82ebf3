import type { Metadata } from 'next';
import { ConversationsScreen } from '../../../../ui/conversations/ConversationsScreen';
import { SHARED_WORDS } from '../../../../ui/wording/screens/shared';

export const metadata: Metadata = { title: SHARED_WORDS.conversations };

export default function ConversationsPage() {
  return <ConversationsScreen />;
}
