'use client';

import CssBaseline from '@mui/material/CssBaseline';
import GlobalStyles from '@mui/material/GlobalStyles';
import { ThemeProvider } from '@mui/material/styles';
import { type ReactNode, useEffect } from 'react';
import { setNonce } from 'react-colorful';
import { Toaster } from 'sonner';
import { SHARED_WORDS } from '../wording/screens/shared';
import { theme } from './theme';
import { TOKENS } from './tokens';

function variables(scheme: 'light' | 'evening') {
  return Object.fromEntries(
    Object.entries(TOKENS[scheme]).map(([name, value]) => [`--porch-${name}`, value]),
  );
}

const GLOBAL = (
  <GlobalStyles
    styles={{
      ':root': variables('light'),
      ':root[data-scheme="dark"]': { ...variables('evening'), colorScheme: 'dark' },
      body: { overflowX: 'hidden' },
      ':focus-visible': { outline: '2px solid var(--porch-door)', outlineOffset: 2 },
      // Where something is there to be printed, it alone is: with what it stands in, without what only a screen can use.
      '@media print': {
        'body:has([data-printed]) :not(:has([data-printed])):not([data-printed]):not([data-printed] *), [data-unprinted]':
          {
            display: 'none !important',
          },
        '[data-printed]': { zoom: 0.78, overflow: 'visible !important', printColorAdjust: 'exact' },
      },
      '@page': { size: 'landscape', margin: '8mm' },
      '@media (prefers-reduced-motion: reduce)': {
        '*, *::before, *::after': { animationDuration: '0s !important', transitionDuration: '0s !important' },
      },
    }}
  />
);

/** Theme, fonts and toasts around everything. Light or evening follows the person's device until they choose. */
export function ThemeFrame({
  nonce,
  children,
}: {
  readonly nonce: string | undefined;
  readonly children: ReactNode;
}) {
  useEffect(() => {
    if (nonce !== undefined) setNonce(nonce); // the colour picker brings a style sheet of its own
  }, [nonce]);
  return (
    <ThemeProvider theme={theme} defaultMode="system">
      <CssBaseline />
      {GLOBAL}
      {children}
      <Toaster
        containerAriaLabel={SHARED_WORDS.notifications}
        style={{ fontFamily: 'inherit' }}
        position="bottom-left"
        offset={{ bottom: 'var(--porch-toast-bottom, 24px)' }}
        mobileOffset={{ bottom: 'var(--porch-toast-bottom-phone, 16px)' }}
        toastOptions={{
          style: {
            background: 'var(--porch-ink)',
            color: 'var(--porch-paper)',
            border: 0,
            borderRadius: 10,
            fontFamily: 'inherit',
            fontSize: '0.9375rem',
          },
        }}
      />
    </ThemeProvider>
  );
}
