'use client';

import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Divider from '@mui/material/Divider';
import Link from '@mui/material/Link';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useActionState, useState } from 'react';
import { LIMITS } from '../../core/limits';
import { ENTRANCE_WORDS } from '../wording/screens/entrance';
import { SHARED_WORDS } from '../wording/screens/shared';
import type { StartState } from './StartForm';

export type JoinAction = (before: StartState, form: FormData) => Promise<StartState>;

interface JoinFormProps {
  readonly action: JoinAction;
  readonly secret: string;
  /** Who is signed in here already; null: nobody is. */
  readonly signedInAs: string | null;
}

/** A new account, or, for somebody who is signed in, one click. What was typed survives a refusal. */
export function JoinForm({ action, secret, signedInAs }: JoinFormProps) {
  const [state, submit, isPending] = useActionState(action, { errors: {} });
  const [typed, setTyped] = useState({ name: '', mail: '', password: '' });
  const field = (name: keyof typeof typed) => ({
    name,
    value: typed[name],
    onChange: (event: { target: { value: string } }) => setTyped({ ...typed, [name]: event.target.value }),
    error: state.errors[name] !== undefined,
  });
  return (
    <>
      {state.errors[''] === undefined ? null : (
        <Alert severity="error" role="alert" sx={{ mb: 2 }}>
          {state.errors['']}
        </Alert>
      )}
      {signedInAs === null ? null : (
        <>
          <form action={submit}>
            <input type="hidden" name="secret" value={secret} />
            <input type="hidden" name="asMyself" value="yes" />
            <Button type="submit" variant="contained" size="large" fullWidth loading={isPending}>
              {ENTRANCE_WORDS.joinAs(signedInAs)}
            </Button>
          </form>
          <Divider sx={{ my: 2 }}>{ENTRANCE_WORDS.orNewAccount}</Divider>
        </>
      )}
      <form action={submit} noValidate>
        <Stack spacing={2}>
          <input type="hidden" name="secret" value={secret} />
          <TextField
            {...field('name')}
            label={SHARED_WORDS.yourName}
            autoComplete="name"
            helperText={state.errors.name ?? ENTRANCE_WORDS.nameShown}
            autoFocus={signedInAs === null}
          />
          <TextField
            {...field('mail')}
            label={SHARED_WORDS.yourEmail}
            type="email"
            autoComplete="username"
            helperText={state.errors.mail ?? SHARED_WORDS.emailHelp}
          />
          <TextField
            {...field('password')}
            label={ENTRANCE_WORDS.aPassword}
            type="password"
            autoComplete="new-password"
            helperText={state.errors.password ?? ENTRANCE_WORDS.passwordHelp(LIMITS.passwordCharsMin)}
          />
          <Button
            type="submit"
            variant={signedInAs === null ? 'contained' : 'outlined'}
            size="large"
            loading={isPending}
          >
            {ENTRANCE_WORDS.join}
          </Button>
        </Stack>
      </form>
      {signedInAs === null ? (
        <Typography variant="body2" sx={{ mt: 2 }}>
          {ENTRANCE_WORDS.accountAlready}{' '}
          <Link href={`/signin?next=${encodeURIComponent(`/join/${secret}`)}`}>
            {ENTRANCE_WORDS.signInInstead}
          </Link>
        </Typography>
      ) : null}
    </>
  );
}
