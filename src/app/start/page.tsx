import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { state } from '../../server/state';
import { StartForm } from '../../ui/entrance/StartForm';
import { startAction } from '../entrance-actions';
import { ENTRANCE_WORDS } from '../../ui/wording/screens/entrance';

export const metadata: Metadata = { title: ENTRANCE_WORDS.setUpYourSite };
export const dynamic = 'force-dynamic';

/** Only while there is no owner; afterwards the door is gone. */
export default function StartPage() {
  if (state().setupCode === null) notFound();
  return <StartForm action={startAction} asksAccount />;
}
