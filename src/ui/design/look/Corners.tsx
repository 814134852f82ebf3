import FormControlLabel from '@mui/material/FormControlLabel';
import Link from '@mui/material/Link';
import MenuItem from '@mui/material/MenuItem';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { cornerFor, inCorner } from '../../../core/look/place';
import { WIDGET_DEFAULTS } from '../../../core/model/defaults';
import { CORNERS, type Corner, type Place } from '../../../core/model/design';
import { cornerWords } from '../../wording/place';
import { LOOK_PANEL_WORDS } from '../../wording/screens/look-panel';

interface CornersProps {
  readonly place: Place;
  readonly onCorner: (corner: Corner) => void;
  readonly onPlace: (place: Place) => void;
}

/** The corner or the middle of an edge in which the launcher stands, and another one on phones. */
export function Corners({ place, onCorner, onPlace }: CornersProps) {
  const isOurs = place.corner === WIDGET_DEFAULTS.corner.value;
  return (
    <>
      <RadioGroup
        aria-label={LOOK_PANEL_WORDS.corner}
        value={place.corner}
        onChange={(event) => onCorner(event.target.value as Corner)}
        sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr' }}
      >
        {CORNER_ORDER.map((corner) => (
          <FormControlLabel
            key={corner}
            value={corner}
            control={<Radio size="small" />}
            label={cornerWords(corner)}
            slotProps={{ typography: { variant: 'body2' } }}
          />
        ))}
      </RadioGroup>
      <Typography variant="body2" color="text.secondary">
        {isOurs ? (
          LOOK_PANEL_WORDS.cornerHelp
        ) : (
          <>
            {LOOK_PANEL_WORDS.cornerDefault}{' '}
            <Link component="button" type="button" variant="body2" onClick={() => onCorner('lower-right')}>
              {LOOK_PANEL_WORDS.restoreOurDefault}
            </Link>
          </>
        )}{' '}
        {LOOK_PANEL_WORDS.mirrored}
      </Typography>
      <PhoneCorner place={place} onPlace={onPlace} />
    </>
  );
}

/** Another corner on phones, where the thumb or the page asks for one. */
function PhoneCorner({
  place,
  onPlace,
}: {
  readonly place: Place;
  readonly onPlace: (place: Place) => void;
}) {
  return (
    <TextField
      select
      size="small"
      fullWidth
      label={LOOK_PANEL_WORDS.onPhones}
      sx={{ mt: 1.5 }}
      value={cornerFor(place, true) === place.corner ? 'same' : cornerFor(place, true)}
      onChange={(event) =>
        onPlace(inCorner(place, CORNERS.find((one) => one === event.target.value) ?? place.corner, true))
      }
    >
      <MenuItem value="same">{LOOK_PANEL_WORDS.inTheSameCorner}</MenuItem>
      {CORNER_ORDER.filter((corner) => corner !== place.corner).map((corner) => (
        <MenuItem key={corner} value={corner}>
          {cornerWords(corner)}
        </MenuItem>
      ))}
    </TextField>
  );
}

const CORNER_ORDER = [...CORNERS].sort((a, b) => rank(a) - rank(b));
function rank(corner: Corner): number {
  return ['upper-left', 'upper-right', 'middle-left', 'middle-right', 'lower-left', 'lower-right'].indexOf(
    corner,
  );
}
