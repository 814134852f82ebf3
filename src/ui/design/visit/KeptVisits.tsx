'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { toast } from 'sonner';
import type { Invitation } from '../../../core/model/invitation';
import type { Moment } from '../../../core/model/moment';
import type { Expectation } from '../../../core/rehearse/kept-visit';
import { PortError } from '../../frame/api';
import { expectationWords, resultWords } from '../../wording/tried';
import type { CheckedVisit } from './use-kept';
import { VISIT_WORDS } from '../../wording/screens/visit';
import { SHARED_WORDS } from '../../wording/screens/shared';

interface KeptVisitsProps {
  readonly all: readonly CheckedVisit[];
  readonly nameOf: (id: string) => string;
  readonly onTry: (checked: CheckedVisit) => void;
  readonly onRemove: (id: string) => Promise<void>;
}

/** Visits that are kept as checks, each with what it comes to now. */
export function KeptVisits({ all, nameOf, onTry, onRemove }: KeptVisitsProps) {
  if (all.length === 0) return null;
  return (
    <Box
      component="section"
      aria-label={VISIT_WORDS.savedTests}
      sx={{ mt: 2, pt: 1.5, borderTop: '1px solid var(--porch-rail)', fontSize: '0.8125rem' }}
    >
      <Box component="h3" sx={{ m: 0, fontSize: '0.8125rem', fontWeight: 700 }}>
        {VISIT_WORDS.savedTests}
      </Box>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {all.map((one) => (
          <Box component="li" key={one.visit.id} sx={{ py: 0.75 }}>
            <CheckSentence checked={one} nameOf={nameOf} />
            <Box sx={{ display: 'flex', gap: 2 }}>
              <Link
                component="button"
                type="button"
                variant="body2"
                onClick={() => onTry(one)}
                aria-label={VISIT_WORDS.runNamed(one.visit.name)}
                sx={{ minHeight: 24 }}
              >
                {VISIT_WORDS.run}
              </Link>
              <Link
                component="button"
                type="button"
                variant="body2"
                onClick={() => void onRemove(one.visit.id)}
                aria-label={SHARED_WORDS.removeNamed(one.visit.name)}
                sx={{ minHeight: 24 }}
              >
                {SHARED_WORDS.remove}
              </Link>
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

/** `✓ A teacher, at night must not get “Clear skies”`; with what it came to where it does not hold. */
export function CheckSentence({
  checked: { visit, result },
  nameOf,
}: {
  checked: CheckedVisit;
  nameOf: (id: string) => string;
}) {
  const holds = result?.holds === true;
  return (
    <>
      <Box
        component="span"
        aria-hidden
        sx={{ fontWeight: 700, color: holds ? 'var(--porch-door)' : 'var(--porch-clay)', mr: 0.75 }}
      >
        {holds ? '✓' : '✕'}
      </Box>
      <b>{visit.name}</b> {expectationWords(visit.expects, nameOf)}
      {holds
        ? '.'
        : VISIT_WORDS.andDoesNot(
            result === null ? VISIT_WORDS.itsLanguageIsGone : resultWords(result, nameOf),
          )}
    </>
  );
}

interface KeepFormProps {
  /** What the visit came to, which is what it will be held to unless something else is chosen. */
  readonly moment: Moment;
  readonly got: readonly string[];
  readonly invitations: readonly Invitation[];
  readonly nameOf: (id: string) => string;
  readonly onKeep: (name: string, expects: Expectation) => Promise<void>;
}

/** Keeps the visit as a check: a name, and what it must come to at every publish. */
export function KeepForm({ moment, got, invitations, nameOf, onKeep }: KeepFormProps) {
  const [name, setName] = useState('');
  const options: Expectation[] = [
    { kind: 'ends-at', moment },
    ...invitations.map(({ id }): Expectation => ({
      kind: got.includes(id) ? 'gets' : 'never-gets',
      invitation: id,
    })),
  ];
  const [chosen, setChosen] = useState(0);
  const store = async (): Promise<void> => {
    const expects = options[chosen] ?? options[0];
    if (expects === undefined) return;
    try {
      await onKeep(name.trim(), expects);
      setName('');
    } catch (error) {
      toast.error(error instanceof PortError ? error.sentence : VISIT_WORDS.notSaved);
    }
  };
  return (
    <Box
      component="form"
      aria-label={VISIT_WORDS.saveAsATest}
      onSubmit={(event) => {
        event.preventDefault();
        if (name.trim() !== '') void store();
      }}
      sx={{
        mt: 2,
        pt: 1.5,
        borderTop: '1px solid var(--porch-rail)',
        display: 'flex',
        flexDirection: 'column',
        gap: 1.25,
      }}
    >
      <Box component="h3" sx={{ m: 0, fontSize: '0.8125rem', fontWeight: 700 }}>
        {VISIT_WORDS.saveAsATest}
      </Box>
      <TextField
        size="small"
        label={VISIT_WORDS.nameOfTheTest}
        placeholder={VISIT_WORDS.nameExample}
        value={name}
        onChange={(event) => setName(event.target.value)}
        slotProps={{ htmlInput: { maxLength: 80 } }}
      />
      <TextField
        select
        size="small"
        label={VISIT_WORDS.atEachPublishIt}
        value={Math.min(chosen, options.length - 1)}
        onChange={(event) => setChosen(Number(event.target.value))}
      >
        {options.map((one, index) => (
          <MenuItem key={JSON.stringify(one)} value={index}>
            {expectationWords(one, nameOf)}
          </MenuItem>
        ))}
      </TextField>
      <Button type="submit" size="small" variant="outlined" disabled={name.trim() === ''}>
        {SHARED_WORDS.keep}
      </Button>
    </Box>
  );
}
