import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Popover from '@mui/material/Popover';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { HexColorPicker } from 'react-colorful';
import { readColour } from '../../../core/look/read-colour';
import type { HexColor } from '../../../core/model/units';
import { colourFaultWords, colourNoteWords } from '../../wording/look';
import { LOOK_PANEL_WORDS } from '../../wording/screens/look-panel';

interface ColourFieldProps {
  readonly label: string;
  readonly value: HexColor;
  readonly onChange: (color: HexColor) => void;
}

/** A colour, typed or pasted in any of the usual notations, or picked; what cannot be read is said in words. */
export function ColourField({ label, value, onChange }: ColourFieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const read = typed === null ? null : readColour(typed);
  const words = read === null ? null : read.ok ? colourNoteWords(read.value) : colourFaultWords(read.errors);
  const type = (text: string): void => {
    setTyped(text);
    const next = readColour(text);
    if (next.ok && next.value.color !== value) onChange(next.value.color);
  };
  return (
    <Box sx={{ display: 'flex', gap: 1, alignItems: 'flex-start' }}>
      <ButtonBase
        aria-label={LOOK_PANEL_WORDS.allColoursFor(label)}
        onClick={(event) => setAnchor(event.currentTarget)}
        style={{ backgroundColor: value }}
        sx={{
          width: 44,
          height: 40,
          borderRadius: '10px',
          border: '1px solid var(--porch-edge)',
          flex: 'none',
        }}
      />
      <TextField
        label={label}
        size="small"
        fullWidth
        value={typed ?? value}
        onChange={(event) => type(event.target.value)}
        onBlur={() => {
          if (read?.ok !== false) setTyped(null);
        }}
        error={read?.ok === false}
        helperText={
          words === null ? undefined : `${words}${read?.ok === false ? LOOK_PANEL_WORDS.nothingChanged : ''}`
        }
        slotProps={{ htmlInput: { spellCheck: false, autoCapitalize: 'off' } }}
      />
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      >
        <Box sx={{ p: 2 }}>
          <HexColorPicker
            color={value}
            onChange={(color) => {
              setTyped(null);
              if (color.toLowerCase() !== value) onChange(color.toLowerCase());
            }}
          />
        </Box>
      </Popover>
    </Box>
  );
}
