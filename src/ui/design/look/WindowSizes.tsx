import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import type { Place } from '../../../core/model/design';
import { LOOK_PANEL_WORDS } from '../../wording/screens/look-panel';

const SIZES = {
  small: { windowWidth: 320, windowHeight: 440 },
  medium: { windowWidth: 360, windowHeight: 500 },
  large: { windowWidth: 420, windowHeight: 640 },
} as const;
type Size = keyof typeof SIZES;
const NAMES = Object.keys(SIZES) as readonly Size[];

/** The window in three sizes; the exact one stands below. */
export function WindowSizes({
  place,
  onPlace,
}: {
  readonly place: Place;
  readonly onPlace: (place: Place) => void;
}) {
  const chosen = NAMES.find(
    (name) =>
      SIZES[name].windowWidth === place.windowWidth && SIZES[name].windowHeight === place.windowHeight,
  );
  return (
    <Box sx={{ mb: 2 }}>
      <Box sx={{ fontSize: '0.8125rem', color: 'text.secondary', mb: 0.5 }}>
        {LOOK_PANEL_WORDS.windowSizeHelp}
      </Box>
      <ToggleButtonGroup
        exclusive
        fullWidth
        size="small"
        aria-label={LOOK_PANEL_WORDS.windowSize}
        value={chosen ?? null}
        onChange={(_, size: Size | null) => {
          if (size !== null) onPlace({ ...place, ...SIZES[size] });
        }}
      >
        {NAMES.map((name) => (
          <ToggleButton key={name} value={name} sx={{ textTransform: 'none' }}>
            {name} {SIZES[name].windowWidth}×{SIZES[name].windowHeight}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </Box>
  );
}
