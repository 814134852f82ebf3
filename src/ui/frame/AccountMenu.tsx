import Box from '@mui/material/Box';
import Divider from '@mui/material/Divider';
import IconButton from '@mui/material/IconButton';
import ListItemText from '@mui/material/ListItemText';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useColorScheme } from '@mui/material/styles';
import Link from 'next/link';
import { type ReactNode, useState } from 'react';
import { FaceMark } from '../parts/FaceMark';
import { useSite } from './SiteContext';
import { FRAME_WORDS } from '../wording/screens/frame';
import { SHARED_WORDS } from '../wording/screens/shared';

interface AccountMenuProps {
  readonly signOut: () => Promise<void>;
  readonly onSearch: () => void;
  readonly onSheet: () => void;
}

/** Who one is, the keys, light or evening, and the way out. */
export function AccountMenu({ signOut, onSearch, onSheet }: AccountMenuProps) {
  const { siteKey, role, personName, overview } = useSite();
  const { mode, setMode } = useColorScheme();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const close = (then?: () => void) => () => {
    setAnchor(null);
    then?.();
  };
  return (
    <>
      <IconButton
        aria-label={FRAME_WORDS.accountOf(personName)}
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{
          border: '1px solid var(--porch-edge)',
          borderRadius: '10px',
          width: 36,
          height: 36,
          fontSize: '0.8125rem',
          fontWeight: 600,
          color: 'text.primary',
        }}
      >
        <FaceMark name={personName} face={overview.you.face} size={34} />
      </IconButton>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={close()}>
        <MenuItem disabled sx={{ opacity: '1 !important' }}>
          <ListItemText primary={personName} />
        </MenuItem>
        <MenuItem component={Link} href={`/s/${siteKey}/account`} onClick={close()}>
          {FRAME_WORDS.myAccount}
        </MenuItem>
        {role === 'owner' ? (
          <MenuItem component={Link} href={`/s/${siteKey}/settings`} onClick={close()}>
            {FRAME_WORDS.siteSettings}
          </MenuItem>
        ) : null}
        <Divider />
        <MenuItem onClick={close(onSearch)}>
          {FRAME_WORDS.search}
          <Key>{FRAME_WORDS.ctrlK}</Key>
        </MenuItem>
        <MenuItem onClick={close(onSheet)}>
          {FRAME_WORDS.keys}
          <Key>?</Key>
        </MenuItem>
        <Divider />
        {(['system', 'light', 'dark'] as const).map((one) => (
          <MenuItem key={one} selected={mode === one} onClick={close(() => setMode(one))}>
            {{ system: FRAME_WORDS.sameAsMyDevice, light: SHARED_WORDS.light, dark: SHARED_WORDS.dark }[one]}
          </MenuItem>
        ))}
        <Divider />
        <MenuItem onClick={close(() => void signOut())}>{FRAME_WORDS.signOut}</MenuItem>
      </Menu>
    </>
  );
}

function Key({ children }: { children: ReactNode }) {
  return (
    <Box
      component="kbd"
      sx={{ ml: 'auto', pl: 3, color: 'text.secondary', fontFamily: 'inherit', fontSize: '0.8125rem' }}
    >
      {children}
    </Box>
  );
}
