import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import type { Metadata } from 'next';
import { readJoinLink } from '../../../server/accounts/joining';
import { listTeams } from '../../../server/facts/teams.repository';
import { state } from '../../../server/state';
import { EntranceLayout } from '../../../ui/entrance/EntranceLayout';
import { JoinForm } from '../../../ui/entrance/JoinForm';
import { ENTRANCE_WORDS } from '../../../ui/wording/screens/entrance';
import { teamName } from '../../../ui/wording/states';
import { joinAction } from '../../entrance-actions';
import { currentPerson } from '../../session';

/** The address is a key: no other site is told of it, and no index keeps it. */
export const metadata: Metadata = {
  title: ENTRANCE_WORDS.join,
  referrer: 'no-referrer',
  robots: { index: false, follow: false },
};
export const dynamic = 'force-dynamic';

/** Where a colleague comes in by a link: they see whose site it is and what they will do, and make an account or use theirs. */
export default async function JoinPage({ params }: { params: Promise<{ secret: string }> }) {
  const { secret } = await params;
  const link = await readJoinLink(state(), secret);
  const person = await currentPerson();
  if (link === null)
    return (
      <EntranceLayout title={ENTRANCE_WORDS.linkGone} lead={ENTRANCE_WORDS.linkGoneHelp}>
        <Link href="/">{ENTRANCE_WORDS.openYourSite}</Link>
      </EntranceLayout>
    );
  const teams = (await listTeams(state().db, link.siteId)).filter(({ id }) => link.teamIds.includes(id));
  return (
    <EntranceLayout
      title={ENTRANCE_WORDS.joinSite(link.siteName)}
      lead={ENTRANCE_WORDS.invitedBy(link.madeByName)}
    >
      <Typography sx={{ mb: 3 }}>
        {ENTRANCE_WORDS.whatYouDo(link.role, teams.map((team) => teamName(team)).join(', '))}
      </Typography>
      <JoinForm action={joinAction} secret={secret} signedInAs={person?.name ?? null} />
    </EntranceLayout>
  );
}
