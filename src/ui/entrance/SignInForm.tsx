'use client';

import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import { useActionState, useEffect, useState } from 'react';
import type { SignInAction } from '../frame/SignInAgain';
import { ENTRANCE_WORDS } from '../wording/screens/entrance';
import { SHARED_WORDS } from '../wording/screens/shared';

interface SignInFormProps {
  readonly action: SignInAction;
  /** Where to go; empty: nowhere, the page stays. */
  readonly next?: string;
  readonly onSignedIn?: () => void;
}

/** E-mail and password. What was typed survives a refusal. */
export function SignInForm({ action, next = '', onSignedIn }: SignInFormProps) {
  const [state, submit, isPending] = useActionState(action, { errors: {}, isSignedIn: false });
  const [mail, setMail] = useState('');
  const [password, setPassword] = useState('');
  useEffect(() => {
    if (state.isSignedIn) onSignedIn?.();
  }, [state, onSignedIn]);
  return (
    <form action={submit} noValidate>
      <Stack spacing={2}>
        {state.errors[''] === undefined ? null : (
          <Alert severity="error" role="alert">
            {state.errors['']}
          </Alert>
        )}
        <input type="hidden" name="next" value={next} />
        <TextField
          label={SHARED_WORDS.yourEmail}
          name="mail"
          type="email"
          autoComplete="username"
          value={mail}
          onChange={(event) => setMail(event.target.value)}
          error={state.errors.mail !== undefined}
          helperText={state.errors.mail}
          autoFocus
        />
        <TextField
          label={SHARED_WORDS.password}
          name="password"
          type="password"
          autoComplete="current-password"
          value={password}
          onChange={(event) => setPassword(event.target.value)}
          error={state.errors.password !== undefined}
          helperText={state.errors.password}
        />
        <Button type="submit" variant="contained" loading={isPending}>
          {ENTRANCE_WORDS.signIn}
        </Button>
      </Stack>
    </form>
  );
}
