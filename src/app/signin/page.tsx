import Button from '@mui/material/Button';
import Divider from '@mui/material/Divider';
import Stack from '@mui/material/Stack';
import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { DEMO_PEOPLE, isDemoDoorOpen } from '../../server/accounts/demo-door';
import { state } from '../../server/state';
import { EntranceLayout } from '../../ui/entrance/EntranceLayout';
import { SignInForm } from '../../ui/entrance/SignInForm';
import { enterDemoAction, signInAction } from '../entrance-actions';
import { origin } from '../session';
import { ENTRANCE_WORDS } from '../../ui/wording/screens/entrance';

export const metadata: Metadata = { title: ENTRANCE_WORDS.signIn };
export const dynamic = 'force-dynamic';

export default async function SignInPage({ searchParams }: { searchParams: Promise<{ next?: string }> }) {
  const { next } = await searchParams;
  if (state().setupCode !== null) redirect('/start');
  const isDemo = await isDemoDoorOpen(state(), (await origin()).host);
  return (
    <EntranceLayout
      title={ENTRANCE_WORDS.goodToSeeYou}
      {...(isDemo
        ? {
            lead: ENTRANCE_WORDS.demoHelp,
          }
        : {})}
    >
      {isDemo ? (
        <Stack spacing={1.5} sx={{ mb: 3 }}>
          {DEMO_PEOPLE.map(({ mail, name, role }, index) => (
            <form key={mail} action={enterDemoAction}>
              <input type="hidden" name="mail" value={mail} />
              <Button type="submit" fullWidth variant={index === 0 ? 'contained' : 'outlined'}>
                {ENTRANCE_WORDS.enterAs(name, role)}
              </Button>
            </form>
          ))}
          <form action={enterDemoAction}>
            <input type="hidden" name="mail" value={DEMO_PEOPLE[0].mail} />
            <input type="hidden" name="next" value="new" />
            <Button type="submit" fullWidth>
              {ENTRANCE_WORDS.startEmptySite}
            </Button>
          </form>
          <Divider>{ENTRANCE_WORDS.orWithAPassword}</Divider>
        </Stack>
      ) : null}
      <SignInForm action={signInAction} next={typeof next === 'string' ? next : '/'} />
    </EntranceLayout>
  );
}
