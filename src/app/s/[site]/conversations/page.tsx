import type { Metadata } from 'next';
import { ConversationsScreen } from '../../../../ui/conversations/ConversationsScreen';
import { FRAME_WORDS } from '../../../../ui/wording/screens/frame';

export const metadata: Metadata = { title: FRAME_WORDS.conversations };

export default function ConversationsPage() {
  return <ConversationsScreen />;
}
