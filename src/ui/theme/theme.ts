'use client';

import { createTheme } from '@mui/material/styles';
import { TOKENS } from './tokens';

const FIGTREE = '"Figtree Variable", "Noto Sans Arabic Variable", system-ui, sans-serif';
/** Figures as tall as capitals, and none of the letters' playful forms: a 1 with a dot is read twice. */
const HEADING = {
  fontFamily: '"Fraunces Variable", Georgia, serif',
  fontFeatureSettings: '"lnum"',
  fontVariationSettings: '"WONK" 0',
  fontWeight: 600,
} as const;

function paletteOf(scheme: 'light' | 'evening') {
  const t = TOKENS[scheme];
  return {
    primary: { main: t.door, contrastText: t.onDoor },
    error: { main: t.clay },
    info: { main: t.sky },
    warning: { main: t.sun },
    background: { default: t.paper, paper: t.board },
    text: { primary: t.ink, secondary: t.shade },
    divider: t.rail,
  };
}

/**
 * Sizes 13 · 15 · 18 · 23 · 30 px at the browser's usual text size; all of them, and where layouts change, follow the text
 * size that the reader has set. An 8 px grid, hairlines instead of shadows.
 */
export const theme = createTheme({
  cssVariables: { colorSchemeSelector: 'data-scheme' },
  colorSchemes: { light: { palette: paletteOf('light') }, dark: { palette: paletteOf('evening') } },
  shape: { borderRadius: 10 },
  spacing: 8,
  breakpoints: { unit: 'em', values: { xs: 0, sm: 37.5, md: 56.25, lg: 75, xl: 96 } },
  typography: {
    fontFamily: FIGTREE,
    fontSize: 15,
    htmlFontSize: 16,
    body1: { fontSize: '0.9375rem', lineHeight: 1.5 },
    body2: { fontSize: '0.8125rem', lineHeight: 1.45 },
    caption: { fontSize: '0.8125rem', lineHeight: 1.35 },
    button: { textTransform: 'none', fontWeight: 600, fontSize: '0.9375rem' },
    h1: { ...HEADING, fontSize: '1.875rem', lineHeight: 1.2 },
    h2: { ...HEADING, fontSize: '1.4375rem', lineHeight: 1.25 },
    h3: { ...HEADING, fontSize: '1.125rem', lineHeight: 1.3 },
  },
  transitions: {
    duration: {
      shortest: 80,
      shorter: 100,
      short: 120,
      standard: 150,
      complex: 170,
      enteringScreen: 150,
      leavingScreen: 120,
    },
  },
  components: {
    // A label over its field is 13 px, as the smallest text is: 0.867 of 15, where the library makes it 11.
    MuiInputLabel: {
      styleOverrides: {
        outlined: { '&.MuiInputLabel-shrink': { transform: 'translate(14px, -0.6em) scale(0.867)' } },
      },
    },
    MuiButton: {
      defaultProps: { disableElevation: true },
      styleOverrides: { root: { borderRadius: 10, minHeight: 36 } },
    },
    MuiButtonBase: {
      defaultProps: { disableRipple: true },
      styleOverrides: { root: { fontFamily: FIGTREE } },
    },
    MuiPaper: { defaultProps: { elevation: 0 }, styleOverrides: { root: { backgroundImage: 'none' } } },
    MuiOutlinedInput: {
      styleOverrides: {
        notchedOutline: { borderColor: 'var(--porch-edge)', legend: { fontSize: '0.867em' } },
      },
    },
    MuiPopover: { styleOverrides: { paper: { border: '1px solid var(--porch-edge)', borderRadius: 12 } } },
    MuiDialog: { styleOverrides: { paper: { border: '1px solid var(--porch-edge)', borderRadius: 12 } } },
    MuiDialogTitle: { styleOverrides: { root: { ...HEADING, fontSize: '1.4375rem' } } },
    MuiTooltip: { defaultProps: { enterDelay: 400 } },
  },
});
