import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { PublicationRow, VersionsView } from '../../core/wire/desk';
import { useAttempt } from '../parts/use-attempt';
import { dayWords } from '../wording/times';
import { Fault } from './dialog-parts';
import { PUBLISHING_WORDS } from '../wording/screens/publishing';
import { SHARED_WORDS } from '../wording/screens/shared';

interface PlannedListProps {
  readonly view: VersionsView;
  /** Of the site, by its name. */
  readonly zone: string;
  readonly onCancel: (id: string) => Promise<void>;
}

/** What is set for later, and the period that runs. Absent where there is none. */
export function PlannedList({ view, zone, onCancel }: PlannedListProps) {
  const { fault, run } = useAttempt(SHARED_WORDS.nothingChanged);
  if (view.planned.length === 0) return null;
  return (
    <Box component="section" aria-label={PUBLISHING_WORDS.scheduled} sx={{ mb: 4 }}>
      <Typography variant="h2" sx={{ fontSize: '1.125rem', mb: 1 }}>
        {PUBLISHING_WORDS.scheduled}
      </Typography>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {view.planned.map((one) => (
          <Box
            component="li"
            key={one.id}
            sx={{
              py: 1.5,
              borderTop: '1px solid var(--porch-rail)',
              display: 'flex',
              gap: 2,
              alignItems: 'center',
              flexWrap: 'wrap',
            }}
          >
            <Box sx={{ flex: 1, minWidth: 240 }}>{plannedWords(one, view, zone)}</Box>
            <Button size="small" onClick={() => void run(() => onCancel(one.id))}>
              {one.version === view.inForce ? PUBLISHING_WORDS.endItNow : PUBLISHING_WORDS.cancelIt}
            </Button>
          </Box>
        ))}
      </Box>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
        {PUBLISHING_WORDS.plannedHelp(zone.replaceAll('_', ' '))}
      </Typography>
      <Fault sentence={fault} />
    </Box>
  );
}

function plannedWords(
  { version, from, until }: PublicationRow,
  { inForce }: VersionsView,
  zone: string,
): string {
  if (until === null) return PUBLISHING_WORDS.plannedFrom(version, dayWords(from, zone));
  if (version === inForce) return PUBLISHING_WORDS.plannedUntil(version, dayWords(until, zone));
  return PUBLISHING_WORDS.plannedFromTo(version, dayWords(from, zone), dayWords(until, zone));
}
