import type { Metadata } from 'next';
import { ConversationsScreen } from '../../../../ui/conversations/ConversationsScreen';

export const metadata: Metadata = { title: 'Conversations' };

export default function ConversationsPage() {
  return <ConversationsScreen />;
}
