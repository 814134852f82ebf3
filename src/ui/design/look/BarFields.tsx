import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { BAR_PX_MAX } from '../../../core/look/collisions';
import type { Bars } from '../../../core/model/page-bars';
import type { PagePictureActions } from '../stage/use-page-pictures';

/** Bars that stay in place on the owner's page are marked here, for the device on the stage. */
export function BarFields({ acts }: { readonly acts: PagePictureActions }) {
  const { device, known, mark } = acts;
  const bars = known.bars[device];
  return (
    <Box>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
        Bars that stay in place on your page, on {device === 'phone' ? 'phones' : 'larger screens'}, such as
        one about cookies. Pull them out on the stage, or type how high they are:
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5 }}>
        <BarField label="At the top" value={bars.upper} onChange={(upper) => void mark({ ...bars, upper })} />
        <BarField
          label="At the bottom"
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
      helperText={isWrong ? `A whole number from 0 to ${BAR_PX_MAX} px.` : undefined}
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
