import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { PublicationRow, VersionsView } from '../../core/wire/desk';
import { useAttempt } from '../parts/use-attempt';
import { dayWords } from '../wording/times';
import { Fault } from './dialog-parts';

interface PlannedListProps {
  readonly view: VersionsView;
  /** Of the site, by its name. */
  readonly zone: string;
  readonly onCancel: (id: string) => Promise<void>;
}

/** What is set for later, and the period that runs. Absent where there is none. */
export function PlannedList({ view, zone, onCancel }: PlannedListProps) {
  const { fault, run } = useAttempt('Nothing was changed. Try again.');
  if (view.planned.length === 0) return null;
  return (
    <Box component="section" aria-label="Scheduled" sx={{ mb: 4 }}>
      <Typography variant="h2" sx={{ fontSize: '1.125rem', mb: 1 }}>
        Scheduled
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
              {one.version === view.inForce ? 'End it now' : 'Cancel it'}
            </Button>
          </Box>
        ))}
      </Box>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
        By the clock of the site: {zone.replaceAll('_', ' ')}. After a period, visitors see what is published
        then.
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
  if (until === null) return `Version ${version} from ${dayWords(from, zone)} on.`;
  if (version === inForce)
    return `Version ${version} until ${dayWords(until, zone)}; then it ends by itself.`;
  return `Version ${version} from ${dayWords(from, zone)} to ${dayWords(until, zone)}; then it ends by itself.`;
}
