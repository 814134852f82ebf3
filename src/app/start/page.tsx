import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { localeTable } from '../../core/publish/locale-table';
import { state } from '../../server/state';
import { StartForm } from '../../ui/entrance/StartForm';
import { startAction } from '../entrance-actions';
import { LANGUAGES } from '../../ui/wording/languages';
import { ENTRANCE_WORDS } from '../../ui/wording/screens/entrance';

export const metadata: Metadata = { title: ENTRANCE_WORDS.setUpYourSite };
export const dynamic = 'force-dynamic';

/** Only while there is no owner; afterwards the door is gone. */
export default function StartPage() {
  if (state().setupCode === null) notFound();
  return (
    <StartForm action={startAction} asksAccount localeTable={localeTable(Object.keys(LANGUAGES), 'en')} />
  );
}
