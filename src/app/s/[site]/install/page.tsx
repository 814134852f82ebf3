import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { isOnlyHere } from '../../../../core/pages/origins';
import { listDomains } from '../../../../server/accounts/sites.repository';
import { findMember } from '../../../../server/accounts/who';
import { addressFor } from '../../../../server/http/origin-gate';
import { state } from '../../../../server/state';
import { InstallScreen } from '../../../../ui/install/InstallScreen';
import { currentSecret, origin, signInFirst } from '../../../session';
import { SHARED_WORDS } from '../../../../ui/wording/screens/shared';

export const metadata: Metadata = { title: SHARED_WORDS.install };
export const dynamic = 'force-dynamic';

export default async function InstallPage({ params }: { params: Promise<{ site: string }> }) {
  const { site: siteKey } = await params;
  const member = await findMember(state(), await currentSecret(), siteKey, 'responder');
  if (member === 'signed-out') return signInFirst();
  if (typeof member === 'string') notFound();
  const own = addressFor(state().env, (await origin()).host);
  return (
    <InstallScreen
      origin={own}
      isLocal={isOnlyHere(own)}
      domains={await listDomains(state().db, member.site.id)}
    />
  );
}
