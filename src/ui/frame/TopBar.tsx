'use client';

import MenuIcon from '@mui/icons-material/Menu';
import SearchIcon from '@mui/icons-material/Search';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Divider from '@mui/material/Divider';
import Drawer from '@mui/material/Drawer';
import IconButton from '@mui/material/IconButton';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { type ReactNode, useState } from 'react';
import { Alerts } from '../alerts/Alerts';
import { AccountMenu } from './AccountMenu';
import { PorchMark } from '../parts/PorchMark';
import { PresenceSwitch } from './PresenceSwitch';
import { screensOf } from './screens';
import { useWaiting } from './use-waiting';
import { useWaitingSign } from './use-waiting-sign';
import { useSite } from './SiteContext';
import { useOpenFindings } from '../findings/FindingsContext';
import { FRAME_WORDS } from '../wording/screens/frame';

export interface TopBarProps {
  readonly sites: readonly { readonly key: string; readonly name: string }[];
  readonly signOut: () => Promise<void>;
  readonly onSearch: () => void;
  readonly onSheet: () => void;
}

/** Screens whose heading is not seen: on a phone the bar says where one is. */
const UNTITLED: ReadonlySet<string> = new Set(['design', 'conversations']);

/** The bar at the top of every screen: where one is, who is in, and whose site it is. */
export function TopBar(props: TopBarProps) {
  const { siteKey, role } = useSite();
  const findings = useOpenFindings();
  const here = usePathname().split('/')[3] ?? 'today';
  const conversations = useWaiting();
  const waiting = conversations?.length ?? 0;
  useWaitingSign(waiting);
  const toMend = (findings?.open ?? []).filter(({ level }) => level === 'must-fix').length;
  const [isMenuOpen, setMenuOpen] = useState(false);
  const screens = screensOf(role);
  const links = screens
    .filter(({ isAside }) => isAside !== true)
    .map((screen) => (
      <TopBarLink key={screen.path} href={`/s/${siteKey}/${screen.path}`} isHere={screen.path === here}>
        {screen.name}
        {screen.path === 'conversations' && waiting > 0 ? (
          <Count count={waiting} of={FRAME_WORDS.waitingForYou} />
        ) : null}
        {screen.path === 'today' && toMend > 0 ? <Count count={toMend} of={FRAME_WORDS.toFix} /> : null}
      </TopBarLink>
    ));
  return (
    <Box
      component="header"
      sx={{
        height: '3rem',
        display: 'flex',
        alignItems: 'center',
        gap: 1,
        px: { xs: 1, md: 2 },
        bgcolor: 'background.paper',
        borderBottom: '1px solid var(--porch-rail)',
        position: 'sticky',
        top: 0,
        zIndex: 20,
      }}
    >
      <IconButton
        aria-label={FRAME_WORDS.menu}
        onClick={() => setMenuOpen(true)}
        sx={{ display: { md: 'none' }, width: 44, height: 44 }}
      >
        <MenuIcon />
      </IconButton>
      <Box
        aria-hidden
        sx={{
          width: 26,
          height: 26,
          borderRadius: '8px',
          bgcolor: 'var(--porch-door)',
          color: 'var(--porch-onDoor)',
          display: { xs: 'none', md: 'grid' },
          placeItems: 'center',
          flex: 'none',
        }}
      >
        <PorchMark size={20} />
      </Box>
      <SitePicker sites={props.sites} />
      <Box
        component="nav"
        aria-label={FRAME_WORDS.screens}
        sx={{
          display: { xs: 'none', md: 'flex' },
          gap: { md: 0, lg: 0.5 },
          alignItems: 'stretch',
          height: '3rem',
          minWidth: 0,
          overflow: 'hidden',
        }}
      >
        {links}
      </Box>
      <Box
        sx={{
          display: { xs: 'block', md: 'none' },
          flex: 1,
          fontFamily: '"Fraunces Variable"',
          fontWeight: 600,
          fontSize: '1rem',
          whiteSpace: 'nowrap',
          overflow: 'hidden',
          textOverflow: 'ellipsis',
        }}
      >
        {UNTITLED.has(here) ? screens.find(({ path }) => path === here)?.name : null}
      </Box>
      <Box sx={{ flex: 1, display: { xs: 'none', md: 'block' } }} />
      <SearchButton onSearch={props.onSearch} />
      <PresenceSwitch />
      <AccountMenu {...props} />
      <Alerts waiting={conversations} />
      <Drawer open={isMenuOpen} onClose={() => setMenuOpen(false)}>
        <Box
          component="nav"
          aria-label={FRAME_WORDS.screens}
          sx={{ width: 260, py: 1, display: 'flex', flexDirection: 'column' }}
          onClick={() => setMenuOpen(false)}
        >
          {links}
        </Box>
      </Drawer>
    </Box>
  );
}

/** The way to any screen or setting; the key for it stands beside it where there is room. */
function SearchButton({ onSearch }: { onSearch: () => void }) {
  return (
    <Button
      size="small"
      color="inherit"
      aria-label={FRAME_WORDS.searchHelp}
      aria-keyshortcuts="Control+K"
      onClick={onSearch}
      sx={{
        minWidth: 36,
        fontSize: '0.8125rem',
        fontWeight: 500,
        color: 'text.secondary',
        whiteSpace: 'nowrap',
      }}
    >
      <SearchIcon fontSize="small" />
      <Box component="span" sx={{ display: { xs: 'none', xl: 'inline' }, ml: 0.5 }}>
        {FRAME_WORDS.search}
      </Box>
      <Box component="kbd" sx={{ display: { xs: 'none', lg: 'inline' }, ml: 0.5, fontFamily: 'inherit' }}>
        {FRAME_WORDS.ctrlK}
      </Box>
    </Button>
  );
}

function TopBarLink({ href, isHere, children }: { href: string; isHere: boolean; children: ReactNode }) {
  return (
    <Box
      component={Link}
      href={href}
      aria-current={isHere ? 'page' : undefined}
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 0.75,
        px: { xs: 2, md: 0.75, lg: 1 },
        minHeight: 44,
        color: 'text.primary',
        textDecoration: 'none',
        fontSize: '0.9375rem',
        fontWeight: isHere ? 700 : 500,
        whiteSpace: 'nowrap',
        boxShadow: isHere ? { md: 'inset 0 -3px 0 var(--porch-door)' } : 'none',
        '&:hover': { color: 'var(--porch-door)' },
      }}
    >
      {children}
    </Box>
  );
}

function Count({ count, of }: { count: number; of: string }) {
  return (
    <Box
      component="span"
      aria-label={`${count} ${of}`}
      sx={{
        bgcolor: 'text.primary',
        color: 'background.paper',
        borderRadius: 1,
        fontSize: '0.8125rem',
        lineHeight: '1.125rem',
        px: 0.75,
        fontVariantNumeric: 'tabular-nums',
      }}
    >
      {count}
    </Box>
  );
}

function SitePicker({ sites }: Pick<TopBarProps, 'sites'>) {
  const { siteKey, siteName, overview } = useSite();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <Box sx={{ display: { xs: 'none', md: 'block' } }}>
      <Button
        size="small"
        variant="outlined"
        color="inherit"
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{
          borderColor: 'var(--porch-edge)',
          maxWidth: { xs: 150, md: 120, lg: 280 },
          fontSize: '0.8125rem',
          whiteSpace: 'nowrap',
          mr: 0.5,
        }}
      >
        <Box component="span" sx={{ overflow: 'hidden', textOverflow: 'ellipsis' }}>
          {siteName}
        </Box>
        &nbsp;▾
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {sites.map((site) => (
          <MenuItem
            key={site.key}
            component={Link}
            href={`/s/${site.key}/today`}
            selected={site.key === siteKey}
            onClick={() => setAnchor(null)}
          >
            {site.name}
          </MenuItem>
        ))}
        {overview.mayOpenSites ? <Divider /> : null}
        {overview.mayOpenSites ? (
          <MenuItem component={Link} href="/new" onClick={() => setAnchor(null)}>
            {FRAME_WORDS.addASite}
          </MenuItem>
        ) : null}
      </Menu>
    </Box>
  );
}
