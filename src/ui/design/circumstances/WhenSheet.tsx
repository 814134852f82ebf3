import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { cityOf } from '../../../core/decide/reader';
import { instantOf, wallOf } from '../../../core/hours/wall';
import type { Zone } from '../../../core/hours/zone';
import type { Assumptions } from '../../../core/rehearse/assumptions';
import { clockWords, wallWords } from '../../wording/times';
import { DESIGN_WORDS } from '../../wording/screens/design';

/** The site's clock. */
export interface SentenceClock {
  readonly now: number;
  readonly zone: Zone;
  /** The zone by its name, which people know by its city. */
  readonly zoneName: string;
}

interface WhenSheetProps {
  readonly assumptions: Assumptions;
  readonly onSuppose: (change: Partial<Assumptions>) => void;
  readonly clock: SentenceClock;
  readonly close: () => void;
}

/** When it is, and by whose clock the visitor reads times. */
export function WhenSheet({ assumptions, onSuppose, clock, close }: WhenSheetProps) {
  const { zone, zoneName, now } = clock;
  const [typed, setTyped] = useState(wallOf(zone, assumptions.at ?? now));
  const at = instantOf(zone, typed);
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        if (at === null) return;
        onSuppose({ at });
        close();
      }}
    >
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1.5 }}>
        {DESIGN_WORDS.siteTime(zoneName)}
      </Typography>
      <TextField
        label={DESIGN_WORDS.dateAndTime}
        type="datetime-local"
        size="small"
        fullWidth
        autoFocus
        value={typed}
        onChange={(event) => setTyped(event.target.value.slice(0, 16))}
        slotProps={{ inputLabel: { shrink: true } }}
      />
      <Box sx={{ display: 'flex', gap: 1, mt: 1.5 }}>
        <Button type="submit" variant="contained" size="small" disabled={at === null}>
          {DESIGN_WORDS.showThisTime}
        </Button>
        <Button
          size="small"
          onClick={() => {
            onSuppose({ at: null });
            close();
          }}
        >
          {DESIGN_WORDS.now}
        </Button>
      </Box>
      <Autocomplete
        size="small"
        value={assumptions.zone}
        options={Intl.supportedValuesOf('timeZone')}
        getOptionLabel={(one) => one.replaceAll('_', ' ')}
        onChange={(_, next) => onSuppose({ zone: next === zoneName ? null : next })}
        renderInput={(field) => (
          <TextField
            {...field}
            label={DESIGN_WORDS.visitorZone}
            placeholder={DESIGN_WORDS.visitorZoneSame}
            helperText={DESIGN_WORDS.visitorZoneHelp}
            slotProps={{ ...field.slotProps, inputLabel: { ...field.slotProps.inputLabel, shrink: true } }}
          />
        )}
        sx={{ mt: 3 }}
      />
    </Box>
  );
}

/** The time by the site's clock, and by the visitor's where that is another. */
export function timeWords({ zone, now }: SentenceClock, { at, zone: theirs }: Assumptions): string {
  const instant = at ?? now;
  const wall = wallOf(zone, instant);
  const here = at === null ? wall.slice(11) : wallWords(wall);
  return theirs === null ? here : `${here} (${cityOf(theirs)} ${clockWords(instant, theirs)})`;
}
