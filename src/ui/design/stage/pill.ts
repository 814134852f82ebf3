/** A small button or switch that lies on the stage or the path: paper, a fine line, round. */
export const PILL = {
  fontSize: '0.8125rem',
  minHeight: 30,
  px: 1.25,
  bgcolor: 'background.paper',
  border: '1px solid var(--porch-edge)',
  borderRadius: '10px',
} as const;
