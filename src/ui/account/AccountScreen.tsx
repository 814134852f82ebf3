'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { type ReactNode, useEffect, useState } from 'react';
import { toast } from 'sonner';
import type { AccountView } from '../../core/wire/desk';
import { PortError } from '../frame/api';
import { useConnection, usePort } from '../frame/Connection';
import { screenAt } from '../frame/screens';
import { useSite } from '../frame/SiteContext';
import { Column } from '../parts/Column';
import { Part } from '../parts/Part';
import { SavedField } from '../parts/SavedField';
import { useAttempt } from '../parts/use-attempt';
import { dayWords } from '../wording/times';
import { AlertsPart } from './AlertsPart';
import { type AccountPort, accountPort } from './port';
import { ACCOUNT_WORDS } from '../wording/screens/account';
import { SHARED_WORDS } from '../wording/screens/shared';

/** One's own account: what colleagues and visitors call one, how one signs in, and where one is signed in. */
export function AccountScreen() {
  const { notice } = useConnection();
  const { reload } = useSite();
  const router = useRouter();
  const port = usePort(accountPort);
  const [view, setView] = useState<AccountView | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  useEffect(() => {
    port.getAccount().then(setView, (error: unknown) => {
      notice(error);
      setFault(error instanceof PortError ? error.sentence : ACCOUNT_WORDS.notLoaded);
    });
  }, [port, notice]);
  return (
    <Column>
      <Typography variant="h1" sx={{ mb: 4 }}>
        {screenAt('account').name}
      </Typography>
      {fault === null ? null : <Alert severity="error">{fault}</Alert>}
      {view === null && fault === null ? <LinearProgress aria-label={ACCOUNT_WORDS.loading} /> : null}
      {view === null ? null : (
        <>
          <Part title={SHARED_WORDS.name} lead={ACCOUNT_WORDS.nameHelp}>
            <SavedField
              name="name"
              label={SHARED_WORDS.yourName}
              value={view.name}
              autoComplete="name"
              onSave={async (name) => {
                setView(await port.setName(name));
                await reload();
                router.refresh();
              }}
            />
          </Part>
          <AlertsPart port={port} />
          <MailPart key={view.mail} mail={view.mail} port={port} onView={setView} />
          <PasswordPart port={port} onView={setView} />
          <Sessions view={view} port={port} onView={setView} />
        </>
      )}
    </Column>
  );
}

interface PartProps {
  readonly port: AccountPort;
  readonly onView: (view: AccountView) => void;
}

function MailPart({ mail, port, onView }: PartProps & { readonly mail: string }) {
  const [typed, setTyped] = useState({ mail, password: '' });
  const { isBusy, fault, errors, run } = useAttempt(SHARED_WORDS.notSaved);
  return (
    <Part title={ACCOUNT_WORDS.email} lead={SHARED_WORDS.emailHelp}>
      <Fields
        button={ACCOUNT_WORDS.changeEmail}
        isBusy={isBusy}
        fault={(errors['mail'] ?? errors['password']) ? null : fault}
        onSubmit={() =>
          void run(async () => {
            onView(await port.setMail(typed));
            toast.success(ACCOUNT_WORDS.emailSaved);
          })
        }
      >
        <TextField
          label={SHARED_WORDS.yourEmail}
          type="email"
          autoComplete="email"
          size="small"
          value={typed.mail}
          onChange={(event) => setTyped({ ...typed, mail: event.target.value })}
          error={errors['mail'] !== undefined}
          helperText={errors['mail']}
        />
        <Password
          label={ACCOUNT_WORDS.yourPassword}
          value={typed.password}
          fault={errors['password']}
          onChange={(password) => setTyped({ ...typed, password })}
        />
      </Fields>
    </Part>
  );
}

const NO_PASSWORDS = { password: '', newPassword: '' };

function PasswordPart({ port, onView }: PartProps) {
  const [typed, setTyped] = useState(NO_PASSWORDS);
  const { isBusy, fault, errors, run } = useAttempt(SHARED_WORDS.notSaved);
  return (
    <Part title={SHARED_WORDS.password} lead={ACCOUNT_WORDS.passwordHelp}>
      <Fields
        button={ACCOUNT_WORDS.changePassword}
        isBusy={isBusy}
        fault={(errors['newPassword'] ?? errors['password']) ? null : fault}
        onSubmit={() =>
          void run(async () => {
            onView(await port.setPassword(typed));
            setTyped(NO_PASSWORDS);
            toast.success(ACCOUNT_WORDS.passwordChanged);
          })
        }
      >
        <Password
          label={ACCOUNT_WORDS.passwordNow}
          value={typed.password}
          fault={errors['password']}
          onChange={(password) => setTyped({ ...typed, password })}
        />
        <Password
          label={ACCOUNT_WORDS.newPassword}
          isNew
          value={typed.newPassword}
          fault={errors['newPassword']}
          onChange={(newPassword) => setTyped({ ...typed, newPassword })}
        />
      </Fields>
    </Part>
  );
}

interface FieldsProps {
  readonly button: string;
  readonly isBusy: boolean;
  readonly fault: string | null;
  readonly onSubmit: () => void;
  readonly children: ReactNode;
}

function Fields({ button, isBusy, fault, onSubmit, children }: FieldsProps) {
  return (
    <Box
      component="form"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        onSubmit();
      }}
      sx={{ display: 'flex', flexDirection: 'column', gap: 2, maxWidth: '32rem', alignItems: 'stretch' }}
    >
      {children}
      {fault === null ? null : (
        <Typography role="alert" color="error">
          {fault}
        </Typography>
      )}
      <Button type="submit" variant="outlined" loading={isBusy} sx={{ alignSelf: 'flex-start' }}>
        {button}
      </Button>
    </Box>
  );
}

interface PasswordProps {
  readonly label: string;
  readonly value: string;
  readonly fault: string | undefined;
  readonly isNew?: boolean;
  readonly onChange: (value: string) => void;
}

function Password({ label, value, fault, isNew = false, onChange }: PasswordProps) {
  return (
    <TextField
      label={label}
      type="password"
      autoComplete={isNew ? 'new-password' : 'current-password'}
      size="small"
      value={value}
      onChange={(event) => onChange(event.target.value)}
      error={fault !== undefined}
      helperText={fault}
    />
  );
}

function Sessions({ view, port, onView }: PartProps & { readonly view: AccountView }) {
  const { zone } = useSite();
  const { fault, isBusy, run } = useAttempt(SHARED_WORDS.nothingChanged);
  return (
    <Part title={ACCOUNT_WORDS.whereYouAreSignedIn}>
      <Box component="ul" aria-label={ACCOUNT_WORDS.sessions} sx={{ m: 0, mb: 2, p: 0, listStyle: 'none' }}>
        {view.sessions.map(({ agent, createdAt, isThis }) => (
          <Box
            component="li"
            key={`${createdAt} ${agent}`}
            sx={{ py: 1, borderBottom: '1px solid var(--porch-rail)', overflowWrap: 'anywhere' }}
          >
            {isThis ? <b>{ACCOUNT_WORDS.thisBrowser}</b> : agent || ACCOUNT_WORDS.unknownBrowser}
            <Box component="span" sx={{ color: 'text.secondary', fontSize: '0.8125rem' }}>
              {' '}
              {ACCOUNT_WORDS.since(dayWords(createdAt, zone))}
            </Box>
          </Box>
        ))}
      </Box>
      {fault === null ? null : (
        <Typography role="alert" color="error" sx={{ mb: 2 }}>
          {fault}
        </Typography>
      )}
      {view.sessions.length < 2 ? null : (
        <Button
          variant="outlined"
          loading={isBusy}
          onClick={() => void run(async () => onView(await port.endOtherSessions()))}
        >
          {ACCOUNT_WORDS.signOutEverywhereElse}
        </Button>
      )}
    </Part>
  );
}
