import Box from '@mui/material/Box';
import type { DrawnMoment } from '../../../core/model/moment';
import { DRAWN_MOMENTS } from '../../../core/model/moment';
import type { Moment } from '../../../core/model/moment';
import { MOMENT_WORDS } from '../../wording/moments';
import { VisitedMark } from './VisitedMark';
import { PATH_WORDS } from '../../wording/screens/path';

interface LowPathProps {
  readonly here: Moment;
  /** Where the visit has been. */
  readonly visited: ReadonlySet<Moment>;
}

/** The path on one line: nine names, where the visit stands, and its visited marks. */
export function LowPath({ here, visited }: LowPathProps) {
  const wordOf = (moment: DrawnMoment): string =>
    moment === here ? PATH_WORDS.hereMark : visited.has(moment) ? PATH_WORDS.wasHereMark : '';
  return (
    <Box
      component="nav"
      aria-label={PATH_WORDS.pathOfThisVisit}
      tabIndex={0}
      sx={{
        height: 40,
        flex: 'none',
        bgcolor: 'var(--porch-lane)',
        borderTop: '1px solid var(--porch-rail)',
        overflow: 'auto hidden',
      }}
    >
      <Box
        component="ol"
        sx={{
          m: 0,
          px: 2,
          height: '100%',
          listStyle: 'none',
          display: 'flex',
          alignItems: 'center',
          gap: { xs: 2, md: 1.5, lg: 3 },
          minWidth: 'max-content',
        }}
      >
        {DRAWN_MOMENTS.map((moment) => (
          <Box
            component="li"
            key={moment}
            aria-current={moment === here ? 'step' : undefined}
            aria-label={`${MOMENT_WORDS[moment].name}${wordOf(moment)}`}
            sx={{
              fontSize: '0.8125rem',
              whiteSpace: 'nowrap',
              display: 'flex',
              alignItems: 'center',
              gap: 0.5,
              minHeight: 28,
              fontWeight: moment === here ? 700 : 400,
              color: moment === here || visited.has(moment) ? 'text.primary' : 'text.secondary',
              borderBottom: moment === here ? '2px solid var(--porch-door)' : '2px solid transparent',
            }}
          >
            {MOMENT_WORDS[moment].name}
            {visited.has(moment) ? <VisitedMark size={12} /> : null}
          </Box>
        ))}
      </Box>
    </Box>
  );
}
