'use client';

import Box from '@mui/material/Box';
import { useRouter } from 'next/navigation';
import { type ReactNode, useEffect, useState } from 'react';
import { tinykeys } from 'tinykeys';
import type { Overview } from '../../core/wire/desk';
import { TopBar, type TopBarProps } from './TopBar';
import { KeySheet } from './KeySheet';
import { SearchDialog } from './SearchDialog';
import { SkipLinks } from './SkipLinks';
import { RightsChanged } from './RightsChanged';
import { SignInAgain, type SignInAction } from './SignInAgain';
import { FindingsProvider } from '../findings/FindingsContext';
import { ConnectionProvider } from './Connection';
import { SiteProvider, type SiteShared } from './SiteContext';

interface SiteFrameProps extends Pick<TopBarProps, 'sites' | 'signOut'> {
  readonly site: Pick<SiteShared, 'siteKey' | 'siteName' | 'zone' | 'role' | 'personId' | 'personName'>;
  /** As the page was asked for. */
  readonly overview: Overview;
  readonly signIn: SignInAction;
  readonly children: ReactNode;
}

/** Top bar, search and key sheet around every screen of a site. */
export function SiteFrame({ children, sites, signOut, signIn, site, overview }: SiteFrameProps) {
  const [isSearchOpen, setSearchOpen] = useState(false);
  const [isSheetOpen, setSheetOpen] = useState(false);
  const router = useRouter();
  useEffect(
    () =>
      tinykeys(window, {
        '$mod+k': (event) => {
          event.preventDefault();
          setSearchOpen(true);
        },
        'Shift+?': (event) => {
          if (!isTyping(event)) setSheetOpen(true);
        },
      }),
    [],
  );
  return (
    <ConnectionProvider siteKey={site.siteKey} personId={site.personId}>
      <SiteProvider {...site} first={overview}>
        <FindingsProvider>
          <Box sx={{ minHeight: '100vh', display: 'flex', flexDirection: 'column' }}>
            <SkipLinks />
            <TopBar
              sites={sites}
              signOut={signOut}
              onSearch={() => setSearchOpen(true)}
              onSheet={() => setSheetOpen(true)}
            />
            <Box
              component="main"
              id="content"
              tabIndex={-1}
              sx={{ flex: 1, display: 'flex', flexDirection: 'column', minHeight: 0, outline: 'none' }}
            >
              {children}
            </Box>
          </Box>
          <SearchDialog
            isOpen={isSearchOpen}
            onClose={() => setSearchOpen(false)}
            onGo={(path) => router.push(path)}
            onSheet={() => setSheetOpen(true)}
          />
          <KeySheet isOpen={isSheetOpen} onClose={() => setSheetOpen(false)} />
          <SignInAgain signIn={signIn} />
          <RightsChanged />
        </FindingsProvider>
      </SiteProvider>
    </ConnectionProvider>
  );
}

/** Whether a key belongs to a field that is being typed in. */
export function isTyping(event: Event): boolean {
  return (
    event.target instanceof HTMLElement &&
    (event.target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(event.target.tagName))
  );
}
