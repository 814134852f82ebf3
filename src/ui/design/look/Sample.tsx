import Box from '@mui/material/Box';
import type { HexColor } from '../../../core/model/units';
import { LOOK_PANEL_WORDS } from '../../wording/screens/look-panel';

/** Two colours as they meet: letters on a ground, or a line around one. */
export function Sample({
  front,
  back,
  isText,
}: {
  readonly front: HexColor;
  readonly back: HexColor;
  readonly isText: boolean;
}) {
  return (
    <Box
      aria-hidden
      style={{ background: back, color: front, borderColor: isText ? 'transparent' : front }}
      sx={{
        width: 40,
        height: 28,
        flex: 'none',
        borderRadius: '8px',
        borderStyle: 'solid',
        borderWidth: 3,
        display: 'grid',
        placeItems: 'center',
        boxShadow: '0 0 0 1px var(--porch-rail)',
      }}
    >
      {isText ? (
        <svg width="28" height="20" viewBox="0 0 28 20" fill="currentColor">
          <text x="14" y="15" textAnchor="middle" fontSize="15" fontWeight="600">
            {LOOK_PANEL_WORDS.aa}
          </text>
        </svg>
      ) : null}
    </Box>
  );
}
