'use client';

import Box from '@mui/material/Box';
import { Command } from 'cmdk';
import { PLACES, fitOf } from './find-places';
import { SCREENS } from './screens';
import { useSite } from './SiteContext';

interface PaletteProps {
  readonly isOpen: boolean;
  readonly onClose: () => void;
  readonly onGo: (path: string) => void;
  readonly onSheet: () => void;
}

/** Finds every screen and setting by its name or by a trade word. */
export function CommandPalette({ isOpen, onClose, onGo, onSheet }: PaletteProps) {
  const { siteKey, role } = useSite();
  const go = (path: string) => () => {
    onClose();
    onGo(`/s/${siteKey}/${path}`);
  };
  const screens = SCREENS.filter((screen) => screen.hidesFrom !== role);
  return (
    <Command.Dialog
      open={isOpen}
      onOpenChange={(open) => !open && onClose()}
      label="Find anything"
      className="porch-palette"
      filter={fitOf}
    >
      <Box component="style">{PALETTE_CSS}</Box>
      <Command.Input placeholder="Where to? Try “colour” or “offline form”." />
      <Command.List>
        <Command.Empty>Nothing is called that. Try another word.</Command.Empty>
        <Command.Group heading="Screens">
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
          <Command.Group heading="Settings">
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
        <Command.Group heading="Help">
          <Command.Item
            value="Keys"
            keywords={['shortcuts', 'keyboard']}
            onSelect={() => {
              onClose();
              onSheet();
            }}
          >
            Keys
          </Command.Item>
        </Command.Group>
      </Command.List>
    </Command.Dialog>
  );
}

const PALETTE_CSS = `
[cmdk-overlay] { position: fixed; inset: 0; background: rgb(20 24 22 / .35); z-index: 1300; }
.porch-palette[cmdk-root], [cmdk-dialog] { position: fixed; z-index: 1301; inset-block-start: 12vh; inset-inline: max(16px, calc(50% - 280px)); background: var(--porch-board); border: 1px solid var(--porch-edge); border-radius: 12px; overflow: hidden; color: var(--porch-ink); }
[cmdk-input] { width: 100%; border: 0; border-bottom: 1px solid var(--porch-rail); padding: 14px 16px; font: inherit; font-size: 18px; background: none; color: inherit; outline-offset: -4px; }
[cmdk-input]::placeholder { color: var(--porch-shade); }
[cmdk-list] { max-height: 50vh; overflow: auto; padding: 8px; }
[cmdk-group-heading] { font-size: 12px; color: var(--porch-shade); padding: 8px; }
[cmdk-item] { padding: 9px 8px; border-radius: 8px; cursor: pointer; }
[cmdk-item][data-selected=true] { background: var(--porch-lane); outline: 2px solid var(--porch-door); outline-offset: -2px; }
[cmdk-empty] { padding: 16px; color: var(--porch-shade); }
`;
