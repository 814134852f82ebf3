import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { decide } from '../../../core/decide/decide';
import type { Verdict } from '../../../core/decide/explain';
import { launcherHere } from '../../../core/rehearse/launcher-here';
import { statusesOf, startOf } from '../../../core/rehearse/try-visit';
import { type ReasonContext, verdictWords } from '../../wording/because';
import { MOMENT_WORDS } from '../../wording/moments';
import { pageWords } from '../../wording/times';
import { clockOf, nextWords } from '../../wording/tried';
import type { Tried } from './use-tried';

interface TryPanelProps {
  readonly tried: Tried;
  readonly context: ReasonContext;
  readonly onStop: () => void;
  /** What may be kept as a check, and what was. */
  readonly children: React.ReactNode;
}

/** What is due, what stands ready, and why the rest is not, where a visit that is tried stands. */
export function TryPanel({ tried: { simulations, last, next }, context, onStop, children }: TryPanelProps) {
  const { shown, ready, not } = useMemo(() => statusesOf(last), [last]);
  const { moment, widget } = decide(last.site, last.circumstances);
  const now = last.circumstances.now - startOf(simulations);
  return (
    <Box
      component="aside"
      aria-label="Try a visit"
      sx={{
        bgcolor: 'background.paper',
        borderLeft: { md: '1px solid var(--porch-rail)' },
        p: 2,
        overflow: 'auto',
        height: '100%',
      }}
    >
      <Typography variant="h2">Try a visit</Typography>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1.5 }}>
        {clockOf(now)} after arriving, on {pageWords(last.circumstances.page.address)}
        {last.circumstances.page.isVisible ? '' : ', the tab hidden'}. Nothing is sent to anybody.
      </Typography>
      <Line title="Now">
        {widget === null ? 'No widget here' : MOMENT_WORDS[moment].name}
        {widget === null || shown !== null ? '' : LAUNCHER_NOW[launcherHere(last).kind]}
        {shown === null ? '' : `: “${context.invitationName(shown)}” is on the screen`}
      </Line>
      <Line title="Next automatic change">
        {next === null
          ? 'None within a day'
          : `${nextWords(next, context.invitationName)} in ${clockOf(next.seconds * 1000)}`}
      </Line>
      <Verdicts title="Ready" all={ready} context={context} />
      <Verdicts title="Not shown, and why" all={not} context={context} />
      {children}
      <Button size="small" variant="outlined" onClick={onStop} sx={{ mt: 2 }}>
        Close the try-out
      </Button>
    </Box>
  );
}

const LAUNCHER_NOW = {
  there: '',
  comes: '; the launcher is not there yet',
  none: '; no launcher on this device',
} as const;

function Line({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <Box sx={{ py: 0.75, fontSize: '0.8125rem' }}>
      <Box component="h3" sx={{ m: 0, fontSize: '0.8125rem', fontWeight: 700 }}>
        {title}
      </Box>
      {children}
    </Box>
  );
}

function Verdicts({
  title,
  all,
  context,
}: {
  title: string;
  all: readonly Verdict[];
  context: ReasonContext;
}) {
  if (all.length === 0) return null;
  return (
    <Line title={title}>
      <Box component="ul" sx={{ m: 0, pl: 2.25, '& li': { py: 0.25 } }}>
        {all.map((one) => (
          <li key={String(one.reason.facts['invitation'])}>{verdictWords(one, context).text}</li>
        ))}
      </Box>
    </Line>
  );
}
