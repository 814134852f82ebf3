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
        aria-label={`Account of ${personName}`}
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
          My account
        </MenuItem>
        {role === 'owner' ? (
          <MenuItem component={Link} href={`/s/${siteKey}/settings`} onClick={close()}>
            Site settings
          </MenuItem>
        ) : null}
        <Divider />
        <MenuItem onClick={close(onSearch)}>
          Search<Key>Ctrl K</Key>
        </MenuItem>
        <MenuItem onClick={close(onSheet)}>
          Keys<Key>?</Key>
        </MenuItem>
        <Divider />
        {(['system', 'light', 'dark'] as const).map((one) => (
          <MenuItem key={one} selected={mode === one} onClick={close(() => setMode(one))}>
            {{ system: 'Same as my device', light: 'Light', dark: 'Dark' }[one]}
          </MenuItem>
        ))}
        <Divider />
        <MenuItem onClick={close(() => void signOut())}>Sign out</MenuItem>
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
