'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import IconButton from '@mui/material/IconButton';
import Popover from '@mui/material/Popover';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { toast } from 'sonner';
import { PortError } from '../../frame/api';
import type { Situations } from './use-situations';
import { DESIGN_WORDS } from '../../wording/screens/design';
import { SHARED_WORDS } from '../../wording/screens/shared';

/** ◂ Now, 1 of 8 ▸; what is none of them can be kept as one more. */
export function SituationArrows({ all, at, keep, remove, flip }: Situations) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const one = all[at];
  const name = one?.name ?? DESIGN_WORDS.custom;
  const keptId = one?.keptId ?? null;
  return (
    <Box
      role="group"
      aria-label={DESIGN_WORDS.situation}
      sx={{ display: 'flex', alignItems: 'center', flex: 'none', mr: { md: 1 } }}
    >
      <IconButton
        size="small"
        aria-label={DESIGN_WORDS.previousSituation}
        onClick={() => flip(-1)}
        sx={ARROW}
      >
        ◂
      </IconButton>
      {/* As wide whatever it says: the arrows keep their place. */}
      <Box role="status" title={name} sx={NAME}>
        <Box component="b" sx={{ overflow: 'hidden', textOverflow: 'ellipsis' }}>
          {name}
        </Box>{' '}
        <Box component="span" sx={{ color: 'text.secondary', flex: 'none' }}>
          {at < 0 ? '' : DESIGN_WORDS.placeInList(at + 1, all.length)}
        </Box>
      </Box>
      <IconButton size="small" aria-label={DESIGN_WORDS.nextSituation} onClick={() => flip(1)} sx={ARROW}>
        ▸
      </IconButton>
      {at < 0 || keptId !== null ? (
        <ButtonBase
          aria-haspopup={keptId === null ? 'dialog' : undefined}
          aria-label={keptId === null ? DESIGN_WORDS.keepCircumstances : SHARED_WORDS.removeNamed(name)}
          onClick={(event) =>
            keptId === null ? setAnchor(event.currentTarget) : void remove(keptId).catch(tell)
          }
          sx={{
            fontSize: '0.8125rem',
            minHeight: 28,
            px: 0.5,
            textDecoration: 'underline',
            textUnderlineOffset: 3,
            flex: 'none',
          }}
        >
          {keptId === null ? SHARED_WORDS.keep : '×'}
        </ButtonBase>
      ) : null}
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      >
        <KeepForm onKeep={(typed) => keep(typed).then(() => setAnchor(null), tell)} />
      </Popover>
    </Box>
  );
}

function KeepForm({ onKeep }: { onKeep: (name: string) => Promise<unknown> }) {
  const [name, setName] = useState('');
  return (
    <Box
      component="form"
      role="dialog"
      aria-label={DESIGN_WORDS.keepCircumstances}
      onSubmit={(event) => {
        event.preventDefault();
        if (name.trim() !== '') void onKeep(name.trim());
      }}
      sx={{ p: 2, width: 300 }}
    >
      <Typography variant="body2" sx={{ mb: 1.5 }}>
        {DESIGN_WORDS.keepHelp}
      </Typography>
      <TextField
        label={SHARED_WORDS.name}
        size="small"
        fullWidth
        autoFocus
        value={name}
        onChange={(event) => setName(event.target.value)}
        slotProps={{ htmlInput: { maxLength: 80 } }}
      />
      <Button type="submit" variant="contained" size="small" disabled={name.trim() === ''} sx={{ mt: 1.5 }}>
        {SHARED_WORDS.keep}
      </Button>
    </Box>
  );
}

const ARROW = { fontSize: '0.9375rem', width: 28, height: 28, color: 'text.primary', flex: 'none' } as const;

function tell(error: unknown): void {
  toast.error(error instanceof PortError ? error.sentence : SHARED_WORDS.nothingChanged);
}

const NAME = {
  display: 'flex',
  justifyContent: 'center',
  gap: 0.75,
  whiteSpace: 'nowrap',
  overflow: 'hidden',
  width: { xs: '9.5rem', md: '7rem', lg: '8rem', xl: '9.5rem' },
  px: 0.25,
} as const;
