/** For screen readers only. Lengths in px: a bare 1 would be the whole width to the theme. */
export const HIDDEN = {
  position: 'absolute',
  width: '1px',
  height: '1px',
  overflow: 'hidden',
  clipPath: 'inset(50%)',
  whiteSpace: 'nowrap',
} as const;
