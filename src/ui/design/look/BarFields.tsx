import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { BAR_PX_MAX } from '../../../core/look/collisions';
import type { Bars } from '../../../core/model/page-bars';
import type { PagePictureActions } from '../stage/use-page-pictures';
import { LOOK_PANEL_WORDS } from '../../wording/screens/look-panel';

/** Bars that stay in place on the owner's page are marked here, for the device on the stage. */
export function BarFields({ acts }: { readonly acts: PagePictureActions }) {
  const { device, known, mark } = acts;
  const bars = known.bars[device];
  return (
    <Box>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
        {LOOK_PANEL_WORDS.barsHelp(device === 'phone')}
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5 }}>
        <BarField
          label={LOOK_PANEL_WORDS.atTheTop}
          value={bars.upper}
          onChange={(upper) => void mark({ ...bars, upper })}
        />
        <BarField
          label={LOOK_PANEL_WORDS.atTheBottom}
          value={bars.lower}
          onChange={(lower) => void mark({ ...bars, lower })}
        />
      </Box>
    </Box>
  );
}

interface BarFieldProps {
  readonly label: string;
  readonly value: Bars['upper'];
  readonly onChange: (value: number) => void;
}

function BarField({ label, value, onChange }: BarFieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const next = Number(typed);
  const isWrong =
    typed !== null && (typed.trim() === '' || !Number.isInteger(next) || next < 0 || next > BAR_PX_MAX);
  return (
    <TextField
      label={label}
      size="small"
      value={typed ?? String(value)}
      error={isWrong}
      helperText={isWrong ? LOOK_PANEL_WORDS.barRange(BAR_PX_MAX) : undefined}
      onChange={(event) => {
        setTyped(event.target.value);
        const px = Number(event.target.value);
        if (event.target.value.trim() !== '' && Number.isInteger(px) && px >= 0 && px <= BAR_PX_MAX)
          onChange(px);
      }}
      onBlur={() => {
        if (!isWrong) setTyped(null);
      }}
      slotProps={{ htmlInput: { inputMode: 'numeric' }, input: { endAdornment: 'px' } }}
    />
  );
}
