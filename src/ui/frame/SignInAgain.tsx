'use client';

import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { SignInForm } from '../entrance/SignInForm';
import { useConnection } from './Connection';
import { FRAME_WORDS } from '../wording/screens/frame';

export type SignInState = { readonly errors: Readonly<Record<string, string>>; readonly isSignedIn: boolean };
export type SignInAction = (before: SignInState, form: FormData) => Promise<SignInState>;

/** A session that ran out: sign in where one is, with everything still there. */
export function SignInAgain({ signIn }: { signIn: SignInAction }) {
  const { isSignedOut, signedInAgain } = useConnection();
  return (
    <Dialog open={isSignedOut} aria-labelledby="again-title" maxWidth="xs" fullWidth>
      <DialogTitle id="again-title">{FRAME_WORDS.sessionEnded}</DialogTitle>
      <DialogContent>
        <Typography sx={{ mb: 2 }}>{FRAME_WORDS.sessionEndedHelp}</Typography>
        <SignInForm action={signIn} onSignedIn={signedInAgain} />
      </DialogContent>
    </Dialog>
  );
}
