import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { listDomains } from '../../../../server/accounts/sites.repository';
import { findMember } from '../../../../server/accounts/who';
import { state } from '../../../../server/state';
import { InstallScreen } from '../../../../ui/install/InstallScreen';
import { currentSecret, origin } from '../../../session';

export const metadata: Metadata = { title: 'Install' };
export const dynamic = 'force-dynamic';

export default async function InstallPage({ params }: { params: Promise<{ site: string }> }) {
  const { site: siteKey } = await params;
  const member = await findMember(state(), await currentSecret(), siteKey, 'responder');
  if (typeof member === 'string') notFound();
  const { publicUrl } = state().env;
  const { host } = await origin();
  return (
    <InstallScreen
      origin={publicUrl ?? `http://${host ?? '127.0.0.1'}`}
      isLocal={publicUrl === null}
      domains={await listDomains(state().db, member.site.id)}
    />
  );
}
