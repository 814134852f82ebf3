import Box from '@mui/material/Box';
import type { Visitor } from '../../../core/model/circumstances';
import type { Launcher } from '../../../core/model/design';
import { deviceWords } from '../../wording/look';

interface LauncherNoteProps {
  readonly launcher: Launcher;
  readonly device: Visitor['device'];
}

/** Why there is no launcher on the stage, where the owner wants none. */
export function LauncherNote({ launcher: { form, hiddenOn }, device }: LauncherNoteProps) {
  const words =
    form === 'own-element'
      ? 'No launcher here: an element on your page opens the window.'
      : hiddenOn.includes(device)
        ? `No launcher on ${deviceWords(device)}: only your own links open the window.`
        : null;
  if (words === null) return null;
  return (
    <Box
      role="note"
      sx={{
        position: 'absolute',
        right: 16,
        bottom: 16,
        px: 1.5,
        py: 0.75,
        fontSize: '0.8125rem',
        borderRadius: '10px',
        bgcolor: 'background.paper',
        border: '1px solid var(--porch-edge)',
        maxWidth: 300,
      }}
    >
      {words}
    </Box>
  );
}
