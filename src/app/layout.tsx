import '@fontsource-variable/figtree';
import '@fontsource-variable/fraunces';
import '@fontsource-variable/noto-sans-arabic';
import InitColorSchemeScript from '@mui/material/InitColorSchemeScript';
import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter';
import type { Metadata, Viewport } from 'next';
import { headers } from 'next/headers';
import type { ReactNode } from 'react';
import { NONCE_HEADER } from '../server/http/content-policy';
import { ThemeFrame } from '../ui/theme/ThemeFrame';
import { ENTRANCE_WORDS } from '../ui/wording/screens/entrance';

export const metadata: Metadata = {
  title: { default: ENTRANCE_WORDS.sunnyPorch, template: ENTRANCE_WORDS.titleTemplate },
  description: ENTRANCE_WORDS.description,
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default async function RootLayout({ children }: { children: ReactNode }) {
  const nonce = (await headers()).get(NONCE_HEADER) ?? undefined;
  return (
    <html lang="en" suppressHydrationWarning>
      <body>
        <InitColorSchemeScript nonce={nonce} attribute="data-scheme" defaultMode="system" />
        <AppRouterCacheProvider options={{ key: 'porch', nonce }}>
          <ThemeFrame nonce={nonce}>{children}</ThemeFrame>
        </AppRouterCacheProvider>
      </body>
    </html>
  );
}
