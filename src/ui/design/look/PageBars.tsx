import Box from '@mui/material/Box';
import type { Bars } from '../../../core/model/page-bars';
import type { StageView } from '../stage/stage-geometry';
import { LOOK_PANEL_WORDS } from '../../wording/screens/look-panel';

interface PageBarsProps {
  readonly bars: Bars;
  readonly view: StageView;
}

/** Bars of the owner's page, as they were marked, over its picture. */
export function PageBars({ bars, view }: PageBarsProps) {
  return (['upper', 'lower'] as const).map((edge) =>
    bars[edge] === 0 ? null : (
      <Box
        key={edge}
        aria-hidden
        data-bar={edge}
        style={{ height: bars[edge] * view.scale, [edge === 'upper' ? 'top' : 'bottom']: 0 }}
        sx={{
          position: 'absolute',
          left: 0,
          right: 0,
          background: 'repeating-linear-gradient(135deg, var(--porch-pageInk) 0 8px, transparent 8px 16px)',
          outline: '1px dashed var(--porch-edge)',
          outlineOffset: -1,
          fontSize: '0.8125rem',
          px: 1,
        }}
      >
        {LOOK_PANEL_WORDS.yourBar(bars[edge])}
      </Box>
    ),
  );
}
