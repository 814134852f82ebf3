'use client';

import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { toast } from 'sonner';
import { isMailShaped } from '../../../core/forms/mail';
import { LIMITS } from '../../../core/limits';
import { PortError } from '../../frame/api';
import { useConnection, usePort } from '../../frame/Connection';
import { useFindings } from '../../findings/FindingsContext';
import { teamPort } from '../../team/port';
import { INSPECTOR_WORDS } from '../../wording/screens/inspector';
import { SHARED_WORDS } from '../../wording/screens/shared';

interface RecipientsProps {
  /** The teams of the widget, in their order. */
  readonly teams: readonly string[];
  nameOfTeam(id: string): string;
}

/** Who gets the notes of a widget's teams. It takes effect at once, and is not part of the draft. */
export function Recipients({ teams, nameOfTeam }: RecipientsProps) {
  const { notice } = useConnection();
  const { findings } = useFindings();
  const port = usePort(teamPort);
  const [all, setAll] = useState<Readonly<Record<string, readonly string[]>> | null>(null);
  const [fault, setFault] = useState<{ readonly teamId: string; readonly words: string } | null>(null);
  useEffect(() => {
    port.getRecipients().then(setAll, notice);
  }, [port, notice]);
  const write = (teamId: string, mails: readonly string[]): Promise<void> =>
    port.setRecipients(teamId, mails).then(
      () => setAll((before) => ({ ...before, [teamId]: mails })),
      (error: unknown) => {
        notice(error);
        setFault({
          teamId,
          words: error instanceof PortError ? error.sentence : SHARED_WORDS.nothingChanged,
        });
        throw error;
      },
    );
  const change = (teamId: string, mails: readonly string[]): void => {
    const refuse = (words: string): void => setFault({ teamId, words });
    const wrong = mails.find((one) => !isMailShaped(one));
    if (wrong !== undefined) return refuse(INSPECTOR_WORDS.notAnEmail(wrong));
    if (mails.length > LIMITS.recipients) return refuse(INSPECTOR_WORDS.tooManyAddresses(LIMITS.recipients));
    setFault(null);
    const before = all?.[teamId] ?? [];
    // What did not go through is told at its field.
    const silent = (): void => undefined;
    write(teamId, mails).then(
      () =>
        toast(INSPECTOR_WORDS.addressSaved, {
          action: { label: SHARED_WORDS.undo, onClick: () => void write(teamId, before).catch(silent) },
        }),
      silent,
    );
  };
  if (teams.length === 0) return <Typography variant="body2">{INSPECTOR_WORDS.nobodyGetsNotes}</Typography>;
  return (
    <Box component="section" sx={{ mt: 2, pt: 1.5, borderTop: '1px solid var(--porch-rail)' }}>
      <Typography component="h3" sx={{ fontSize: '0.8125rem', fontWeight: 700, mb: 0.5 }}>
        {INSPECTOR_WORDS.whoGetsTheNotes}
      </Typography>
      {teams.map((id) => {
        const people = findings?.peopleOf[id] ?? 0;
        return (
          <Box key={id} sx={{ mb: 1.5 }}>
            <Typography variant="body2" sx={{ mb: 1 }}>
              {people === 0
                ? INSPECTOR_WORDS.hasNoPeopleYet(nameOfTeam(id))
                : INSPECTOR_WORDS.peopleOfTeam(INSPECTOR_WORDS.peopleCount(people), nameOfTeam(id))}
            </Typography>
            <Autocomplete
              multiple
              freeSolo
              size="small"
              options={NO_OPTIONS}
              disabled={all === null}
              value={[...(all?.[id] ?? [])]}
              onChange={(_, mails) =>
                change(id, [...new Set(mails.map((one) => one.trim()).filter((one) => one !== ''))])
              }
              renderInput={(params) => (
                <TextField
                  {...params}
                  label={INSPECTOR_WORDS.alsoByEmailTo}
                  error={fault?.teamId === id}
                  helperText={fault?.teamId === id ? fault.words : INSPECTOR_WORDS.typeAddress}
                />
              )}
            />
          </Box>
        );
      })}
      <Typography variant="body2" color="text.secondary">
        {INSPECTOR_WORDS.takesEffectAtOnce}
      </Typography>
    </Box>
  );
}

const NO_OPTIONS: readonly string[] = [];
