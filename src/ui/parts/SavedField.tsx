'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField, { type TextFieldProps } from '@mui/material/TextField';
import { useState } from 'react';
import { useAttempt } from './use-attempt';
import { PART_WORDS } from '../wording/screens/parts';
import { SHARED_WORDS } from '../wording/screens/shared';

interface SavedFieldProps extends Pick<TextFieldProps, 'label' | 'type' | 'autoComplete' | 'placeholder'> {
  /** The field's name in the server's answers. */
  readonly name: string;
  readonly value: string;
  readonly help?: string;
  readonly button?: string;
  /** The button's accessible name, where several on the screen say the same. */
  readonly buttonName?: string;
  readonly onSave: (value: string) => Promise<void>;
}

/** One value with its own button: it is saved when that is pressed, and what is wrong with it is said at the field. */
export function SavedField({
  name,
  value,
  help,
  button = PART_WORDS.save,
  buttonName,
  onSave,
  ...field
}: SavedFieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const { isBusy, fault, errors, run } = useAttempt(SHARED_WORDS.notSaved);
  const wrong = errors[name] ?? fault ?? undefined;
  return (
    <Box
      component="form"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void run(async () => {
          await onSave(typed ?? value);
          setTyped(null);
        });
      }}
      sx={{ display: 'flex', gap: 1.5, alignItems: 'flex-start', maxWidth: '32rem' }}
    >
      <TextField
        {...field}
        size="small"
        fullWidth
        value={typed ?? value}
        onChange={(event) => setTyped(event.target.value)}
        error={wrong !== undefined}
        helperText={wrong ?? help}
        {...(field.placeholder === undefined ? {} : { slotProps: { inputLabel: { shrink: true } } })}
      />
      <Button
        type="submit"
        variant="outlined"
        aria-label={buttonName}
        loading={isBusy}
        disabled={typed === null || typed === value}
        sx={{ flex: 'none', minHeight: 40 }}
      >
        {button}
      </Button>
    </Box>
  );
}
