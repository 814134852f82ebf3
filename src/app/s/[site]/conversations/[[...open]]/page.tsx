import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { ConversationsScreen } from '../../../../../ui/conversations/ConversationsScreen';
import { SHARED_WORDS } from '../../../../../ui/wording/screens/shared';

export const metadata: Metadata = { title: SHARED_WORDS.conversations };

/** All conversations, or one of them by its own address; which one is read by the screen, from the address. */
export default async function ConversationsPage({
  params,
}: {
  readonly params: Promise<{ readonly open?: readonly string[] }>;
}) {
  const { open = [] } = await params;
  if (open.length > 1 || !open.every((id) => /^[a-z0-9]{26}$/.test(id))) notFound();
  return <ConversationsScreen />;
}
