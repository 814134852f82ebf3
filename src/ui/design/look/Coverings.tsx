import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { type Covering, clearOf } from '../../../core/look/collisions';
import type { BarsByDevice } from '../../../core/model/page-bars';
import type { Place } from '../../../core/model/design';
import { coveringWords } from '../../wording/look';
import { LOOK_PANEL_WORDS } from '../../wording/screens/look-panel';

interface CoveringsProps {
  readonly all: readonly Covering[];
  readonly bars: BarsByDevice;
  readonly place: Place;
  readonly onPlace: (place: Place) => void;
}

/** What lies over the owner's bars, and the place that is clear of them. */
export function Coverings({ all, bars, place, onPlace }: CoveringsProps) {
  if (all.length === 0) return null;
  const clear = clearOf(place, bars);
  const isMoved = clear.lift !== place.lift || clear.phoneLift !== place.phoneLift;
  return (
    <Box
      role="status"
      sx={{
        mb: 2,
        px: 1.25,
        py: 1,
        fontSize: '0.8125rem',
        borderInlineStart: '3px solid var(--porch-clay)',
        bgcolor: 'var(--porch-lane)',
      }}
    >
      <Box component="ul" aria-label={LOOK_PANEL_WORDS.covered} sx={{ m: 0, pl: 2 }}>
        {all.map((one) => (
          <li key={`${one.screen} ${one.part} ${one.bar}`}>{coveringWords(one)}</li>
        ))}
      </Box>
      {isMoved ? (
        <Button size="small" variant="outlined" sx={{ mt: 1 }} onClick={() => onPlace(clear)}>
          {LOOK_PANEL_WORDS.moveAboveIt}
        </Button>
      ) : (
        <Box sx={{ mt: 0.5 }}>{LOOK_PANEL_WORDS.coveredAdvice}</Box>
      )}
    </Box>
  );
}
