import Button from '@mui/material/Button';
import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { mayOpenSites } from '../../server/accounts/opening-sites';
import { localeTable } from '../../core/publish/locale-table';
import { state } from '../../server/state';
import { EntranceLayout } from '../../ui/entrance/EntranceLayout';
import { StartForm } from '../../ui/entrance/StartForm';
import { newSiteAction } from '../entrance-actions';
import { currentPerson } from '../session';
import { LANGUAGES } from '../../ui/wording/languages';
import { ENTRANCE_WORDS } from '../../ui/wording/screens/entrance';

export const metadata: Metadata = { title: ENTRANCE_WORDS.anotherSite };
export const dynamic = 'force-dynamic';

export default async function NewSitePage() {
  const person = await currentPerson();
  if (person === null) redirect('/signin?next=/new');
  if (!(await mayOpenSites(state(), person.id)))
    return (
      <EntranceLayout title={ENTRANCE_WORDS.anotherSite} lead={ENTRANCE_WORDS.ownerOpensSites}>
        <Button href="/" variant="contained">
          {ENTRANCE_WORDS.openYourSite}
        </Button>
      </EntranceLayout>
    );
  return (
    <StartForm
      action={newSiteAction}
      asksAccount={false}
      localeTable={localeTable(Object.keys(LANGUAGES), 'en')}
    />
  );
}
