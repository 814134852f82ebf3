import { notFound } from 'next/navigation';
import type { ReactNode } from 'react';
import { listSitesOf } from '../../../server/accounts/sites.repository';
import { findMember } from '../../../server/accounts/who';
import { overviewOf } from '../../../server/facts/overview';
import { state } from '../../../server/state';
import { SiteFrame } from '../../../ui/frame/SiteFrame';
import { signInAction, signOutAction } from '../../entrance-actions';
import { currentSecret, signInFirst } from '../../session';

export const dynamic = 'force-dynamic';

export default async function SiteLayout({
  children,
  params,
}: {
  children: ReactNode;
  params: Promise<{ site: string }>;
}) {
  const { site: siteKey } = await params;
  const member = await findMember(state(), await currentSecret(), siteKey, 'responder');
  if (member === 'signed-out') return signInFirst();
  if (typeof member === 'string') notFound();
  const { site, person, role } = member;
  const [sites, overview] = await Promise.all([
    listSitesOf(state().db, person.id),
    overviewOf(state(), member),
  ]);
  return (
    <SiteFrame
      site={{
        ...{ siteKey: site.key, siteName: site.name, zone: site.zone, role },
        ...{ personId: person.id, personName: person.name },
      }}
      overview={overview}
      sites={sites.map(({ key, name }) => ({ key, name }))}
      signOut={signOutAction}
      signIn={signInAction}
    >
      {children}
    </SiteFrame>
  );
}
