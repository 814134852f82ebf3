import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { findMember } from '../../../../server/accounts/who';
import { getDraft } from '../../../../server/designs/draft';
import { state } from '../../../../server/state';
import { DesignScreen } from '../../../../ui/design/DesignScreen';
import { currentSecret, signInFirst } from '../../../session';
import { FRAME_WORDS } from '../../../../ui/wording/screens/frame';

export const metadata: Metadata = { title: FRAME_WORDS.design };
export const dynamic = 'force-dynamic';

export default async function DesignPage({ params }: { params: Promise<{ site: string }> }) {
  const { site: siteKey } = await params;
  const member = await findMember(state(), await currentSecret(), siteKey, 'designer');
  if (member === 'signed-out') return signInFirst();
  if (typeof member === 'string') notFound();
  return <DesignScreen first={await getDraft(state().db, member.site.id)} />;
}
