import Box from '@mui/material/Box';
import { usePathname } from 'next/navigation';
import { FRAME_WORDS } from '../wording/screens/frame';

/** Where the Tab key can go at once, by id. */
const PLACES: Readonly<Record<string, readonly (readonly [id: string, name: string])[]>> = {
  design: [
    ['stage', FRAME_WORDS.stage],
    ['inspector-panel', FRAME_WORDS.inspector],
    ['path', FRAME_WORDS.path],
  ],
};

/** The first Tab stops of a screen, seen only while they have the focus: past the top bar, to what the screen is made of. */
export function SkipLinks() {
  const here = usePathname().split('/')[3] ?? 'today';
  return (
    <Box component="nav" aria-label={FRAME_WORDS.skipTo} sx={{ position: 'absolute', zIndex: 2000 }}>
      {(PLACES[here] ?? [['content', FRAME_WORDS.content]]).map(([id, name]) => (
        <Box key={id} component="a" href={`#${id}`} sx={LINK}>
          {FRAME_WORDS.skipToNamed(name)}
        </Box>
      ))}
    </Box>
  );
}

const LINK = {
  position: 'absolute',
  left: 8,
  top: 6,
  px: 2,
  py: 1,
  whiteSpace: 'nowrap',
  borderRadius: '10px',
  bgcolor: 'background.paper',
  color: 'text.primary',
  border: '2px solid var(--porch-door)',
  '&:not(:focus)': { clipPath: 'inset(50%)', width: 1, height: 1, p: 0, border: 0, overflow: 'hidden' },
} as const;
