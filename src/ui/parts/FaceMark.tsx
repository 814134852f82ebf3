import Box from '@mui/material/Box';
import { initialsOf } from '../../core/words/initials';
import type { Face } from '../../core/wire/talk';
import { useSite } from '../frame/SiteContext';

/** Somebody's face as visitors get it, or their initials. The name always stands beside it. */
export function FaceMark({
  name,
  face,
  size,
}: {
  readonly name: string;
  readonly face: Face | null;
  readonly size: number;
}) {
  const { siteKey } = useSite();
  const box = { width: size, height: size, borderRadius: '10px', flex: 'none' } as const;
  if (face !== null)
    return (
      <Box component="img" alt="" src={`/w/${siteKey}/${face[1]}.webp`} sx={{ ...box, objectFit: 'cover' }} />
    );
  return (
    <Box
      aria-hidden
      sx={{
        ...box,
        display: 'grid',
        placeItems: 'center',
        bgcolor: 'var(--porch-lane)',
        fontWeight: 700,
        fontSize: size / 2.6,
      }}
    >
      {initialsOf(name)}
    </Box>
  );
}
