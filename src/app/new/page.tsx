import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { StartForm } from '../../ui/entrance/StartForm';
import { newSiteAction } from '../entrance-actions';
import { currentPerson } from '../session';
import { ENTRANCE_WORDS } from '../../ui/wording/screens/entrance';

export const metadata: Metadata = { title: ENTRANCE_WORDS.anotherSite };
export const dynamic = 'force-dynamic';

export default async function NewSitePage() {
  if ((await currentPerson()) === null) redirect('/signin?next=/new');
  return <StartForm action={newSiteAction} asksAccount={false} />;
}
