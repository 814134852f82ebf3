import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { type Look, SCHEMES, STYLES, type StyleName } from '../../../core/model/look';
import { SCHEME_WORDS, STYLE_WORDS } from '../../wording/look';
import { LOOK_PANEL_WORDS } from '../../wording/screens/look-panel';

interface ShapeProps {
  readonly look: Look;
  readonly names: readonly StyleName[];
  readonly onLook: (look: Look, words: string) => void;
}

/** Choices of a look, two to a line. */
export function Shape({ look, names, onLook }: ShapeProps) {
  return (
    <Box
      sx={{ display: 'grid', gridTemplateColumns: names.length > 1 ? '1fr 1fr' : '1fr', gap: 1.5, pt: 0.5 }}
    >
      {names.map((name) => (
        <TextField
          key={name}
          select
          size="small"
          label={STYLE_WORDS[name].name}
          value={look[name]}
          onChange={(event) =>
            onLook({ ...look, [name]: event.target.value }, STYLE_WORDS[name].name.toLowerCase())
          }
        >
          {STYLES[name].map((one) => (
            <MenuItem key={one} value={one}>
              {STYLE_WORDS[name].values[one]}
            </MenuItem>
          ))}
        </TextField>
      ))}
    </Box>
  );
}

/** Whether the widget follows the visitor's wish for light or dark. */
export function SchemeChoice({ look, onLook }: Omit<ShapeProps, 'names'>) {
  return (
    <TextField
      select
      fullWidth
      size="small"
      label={LOOK_PANEL_WORDS.lightOrDark}
      value={look.scheme}
      onChange={(event) =>
        onLook({ ...look, scheme: event.target.value as Look['scheme'] }, LOOK_PANEL_WORDS.lightOrDarkEdit)
      }
      helperText={
        look.scheme === 'visitor' ? LOOK_PANEL_WORDS.darkIfPageHelp : LOOK_PANEL_WORDS.sameForAllHelp
      }
    >
      {SCHEMES.map((one) => (
        <MenuItem key={one} value={one}>
          {SCHEME_WORDS[one]}
        </MenuItem>
      ))}
    </TextField>
  );
}
