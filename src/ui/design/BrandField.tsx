'use client';

import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Popover from '@mui/material/Popover';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { HexColorPicker } from 'react-colorful';
import { BRAND_SWATCHES } from '../../core/model/defaults';
import { contrastSentence, toHex } from '../wording/colour';

interface BrandFieldProps {
  readonly value: string;
  readonly onChange: (brand: string) => void;
  readonly label: string;
}

/** The brand colour: swatches, a field, a picker, and the text that goes on it. */
export function BrandField({ value, onChange, label }: BrandFieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const isUnreadable = typed !== null && toHex(typed) === null;
  const type = (text: string): void => {
    setTyped(text);
    const hex = toHex(text);
    if (hex !== null) onChange(hex);
  };
  return (
    <Box>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'flex-start' }}>
        <ButtonBase
          aria-label="Choose from all colours"
          onClick={(event) => setAnchor(event.currentTarget)}
          sx={{ width: 44, height: 40, borderRadius: '10px', border: '1px solid var(--porch-edge)', bgcolor: value, flex: 'none' }}
        />
        <TextField
          label={label}
          size="small"
          fullWidth
          value={typed ?? value}
          onChange={(event) => type(event.target.value)}
          onBlur={() => setTyped(null)}
          error={isUnreadable}
          helperText={isUnreadable ? 'Type it as # and six digits, such as #1f6f6b.' : undefined}
          slotProps={{ htmlInput: { spellCheck: false } }}
        />
      </Box>
      <Box
        role="group"
        aria-label="Colours to begin with"
        sx={{ display: 'grid', gridTemplateColumns: 'repeat(6, 1fr)', gap: 0.75, mt: 1 }}
      >
        {BRAND_SWATCHES.map((one) => (
          <ButtonBase
            key={one}
            aria-label={one}
            aria-pressed={one === value}
            onClick={() => {
              setTyped(null);
              onChange(one);
            }}
            sx={{
              minHeight: 24,
              borderRadius: '6px',
              bgcolor: one,
              outline: one === value ? '2px solid var(--porch-ink)' : 'none',
              outlineOffset: 2,
            }}
          />
        ))}
      </Box>
      <Typography variant="body2" sx={{ mt: 1, color: 'text.secondary' }} role="status">
        {contrastSentence(value)}
      </Typography>
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      >
        <Box sx={{ p: 2 }}>
          <HexColorPicker
            color={value}
            onChange={(color) => {
              setTyped(null);
              onChange(color.toLowerCase());
            }}
          />
        </Box>
      </Popover>
    </Box>
  );
}
