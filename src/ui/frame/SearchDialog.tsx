'use client';

import Dialog from '@mui/material/Dialog';
import { Command } from 'cmdk';
import { PLACES, fitOf } from './find-places';
import { screensOf } from './screens';
import { useSite } from './SiteContext';
import { FRAME_WORDS } from '../wording/screens/frame';

interface SearchDialogProps {
  readonly isOpen: boolean;
  readonly onClose: () => void;
  readonly onGo: (path: string) => void;
  readonly onSheet: () => void;
}

/** Finds every screen and setting by its name or by a trade word. */
export function SearchDialog({ isOpen, onClose, onGo, onSheet }: SearchDialogProps) {
  const { siteKey, role } = useSite();
  const go = (path: string) => () => {
    onClose();
    onGo(`/s/${siteKey}/${path}`);
  };
  const screens = screensOf(role);
  return (
    <Dialog
      open={isOpen}
      onClose={onClose}
      slotProps={{
        container: { sx: { alignItems: 'flex-start' } },
        paper: { 'aria-label': FRAME_WORDS.searchHelp, sx: LIST_LOOK },
      }}
    >
      <Command label={FRAME_WORDS.searchHelp} filter={fitOf}>
        <Command.Input autoFocus placeholder={FRAME_WORDS.searchHelp} />
        <Command.List>
          <Command.Empty>{FRAME_WORDS.nothingFound}</Command.Empty>
          <Command.Group heading={FRAME_WORDS.screens}>
            {screens.map((screen) => (
              <Command.Item
                key={screen.path}
                value={screen.name}
                keywords={screen.alsoKnownAs.split(' ')}
                onSelect={go(screen.path)}
              >
                {screen.name}
              </Command.Item>
            ))}
          </Command.Group>
          {role === 'responder' ? null : (
            <Command.Group heading={FRAME_WORDS.settings}>
              {PLACES.map((place) => (
                <Command.Item
                  key={place.name}
                  value={place.name}
                  keywords={place.words.split(' ')}
                  onSelect={go(place.path)}
                >
                  {place.name}
                </Command.Item>
              ))}
            </Command.Group>
          )}
          <Command.Group heading={FRAME_WORDS.help}>
            <Command.Item
              value={FRAME_WORDS.keys}
              keywords={['shortcuts', 'keyboard']}
              onSelect={() => {
                onClose();
                onSheet();
              }}
            >
              {FRAME_WORDS.keys}
            </Command.Item>
          </Command.Group>
        </Command.List>
      </Command>
    </Dialog>
  );
}

/** Where the list stands and how it looks; its own parts are told apart by the attributes that their package gives them. */
const LIST_LOOK = {
  width: 560,
  maxWidth: 'calc(100vw - 32px)',
  m: 0,
  mt: '12vh',
  overflow: 'hidden',
  '& [cmdk-input]': {
    width: '100%',
    boxSizing: 'border-box',
    border: 0,
    borderBottom: '1px solid var(--porch-rail)',
    p: '14px 16px',
    font: 'inherit',
    fontSize: '1.125rem',
    background: 'none',
    color: 'inherit',
    outlineOffset: -4,
  },
  '& [cmdk-input]::placeholder': { color: 'text.secondary', opacity: 1 },
  '& [cmdk-list]': { maxHeight: '50vh', overflow: 'auto', p: 1 },
  '& [cmdk-group-heading]': { fontSize: '0.8125rem', color: 'text.secondary', p: 1 },
  '& [cmdk-item]': { p: '9px 8px', borderRadius: '8px', cursor: 'pointer' },
  '& [cmdk-item][data-selected=true]': {
    bgcolor: 'var(--porch-lane)',
    outline: '2px solid var(--porch-door)',
    outlineOffset: '-2px',
  },
  '& [cmdk-empty]': { p: 2, color: 'text.secondary' },
} as const;
