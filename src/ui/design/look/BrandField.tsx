'use client';

import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { BRAND_SWATCHES } from '../../../core/model/defaults';
import type { HexColor } from '../../../core/model/units';
import { contrastSentence } from '../../wording/colour';
import { ColourField } from './ColourField';
import { LOOK_PANEL_WORDS } from '../../wording/screens/look-panel';

interface BrandFieldProps {
  readonly value: HexColor;
  readonly onChange: (brand: HexColor) => void;
  readonly label: string;
  /** Proposed from the logo; null: they are being looked for, and have their place kept. */
  readonly proposals?: readonly HexColor[] | null;
}

/** The brand colour: a field, a picker, swatches, and the text that goes on it. */
export function BrandField({ value, onChange, label, proposals = [] }: BrandFieldProps) {
  const hasNone = proposals?.length === 0;
  return (
    <Box>
      <ColourField key={label} label={label} value={value} onChange={onChange} />
      {hasNone ? null : (
        <Swatches
          label={LOOK_PANEL_WORDS.fromYourLogo}
          colours={proposals}
          value={value}
          onChange={onChange}
        />
      )}
      <Swatches
        label={hasNone ? LOOK_PANEL_WORDS.coloursToBeginWith : LOOK_PANEL_WORDS.othersToBeginWith}
        colours={BRAND_SWATCHES}
        value={value}
        onChange={onChange}
        isQuiet={hasNone}
      />
      <Typography variant="body2" sx={{ mt: 1, color: 'text.secondary' }} role="status">
        {contrastSentence(value)}
      </Typography>
    </Box>
  );
}

interface SwatchesProps extends Pick<BrandFieldProps, 'value' | 'onChange' | 'label'> {
  readonly colours: readonly HexColor[] | null;
  /** Its label is for screen readers only. */
  readonly isQuiet?: boolean;
}

function Swatches({ label, colours, value, onChange, isQuiet = false }: SwatchesProps) {
  return (
    <>
      {isQuiet ? null : <Box sx={{ fontSize: '0.8125rem', color: 'text.secondary', mt: 1 }}>{label}</Box>}
      <Box
        role="group"
        aria-label={label}
        aria-busy={colours === null}
        sx={{
          display: 'grid',
          minHeight: 24,
          gridTemplateColumns: 'repeat(6, 1fr)',
          gap: 0.75,
          mt: isQuiet ? 1 : 0.5,
        }}
      >
        {colours?.map((one) => (
          <ButtonBase
            key={one}
            aria-label={one}
            aria-pressed={one === value}
            onClick={() => onChange(one)}
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
    </>
  );
}
