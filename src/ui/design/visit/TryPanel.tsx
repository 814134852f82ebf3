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
import { VISIT_WORDS } from '../../wording/screens/visit';
import { SHARED_WORDS } from '../../wording/screens/shared';

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
      aria-label={SHARED_WORDS.tryAVisit}
      sx={{
        bgcolor: 'background.paper',
        borderLeft: { md: '1px solid var(--porch-rail)' },
        p: 2,
        overflow: 'auto',
        height: '100%',
      }}
    >
      <Typography variant="h2">{SHARED_WORDS.tryAVisit}</Typography>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1.5 }}>
        {VISIT_WORDS.whereVisitStands(
          clockOf(now),
          pageWords(last.circumstances.page.address),
          last.circumstances.page.isVisible,
        )}
      </Typography>
      <Line title={VISIT_WORDS.now}>
        {widget === null ? VISIT_WORDS.noWidgetHere : MOMENT_WORDS[moment].name}
        {widget === null || shown !== null ? '' : LAUNCHER_NOW[launcherHere(last).kind]}
        {shown === null ? '' : VISIT_WORDS.onTheScreenMark(context.invitationName(shown))}
      </Line>
      <Line title={VISIT_WORDS.nextAutomaticChange}>
        {next === null
          ? VISIT_WORDS.noneWithinADay
          : VISIT_WORDS.nextIn(nextWords(next, context.invitationName), clockOf(next.seconds * 1000))}
      </Line>
      <Verdicts title={VISIT_WORDS.ready} all={ready} context={context} />
      <Verdicts title={VISIT_WORDS.notShownAndWhy} all={not} context={context} />
      {children}
      <Button size="small" variant="outlined" onClick={onStop} sx={{ mt: 2 }}>
        {VISIT_WORDS.closeTheTryOut}
      </Button>
    </Box>
  );
}

const LAUNCHER_NOW = {
  there: '',
  comes: VISIT_WORDS.launcherNotYet,
  none: VISIT_WORDS.launcherNotOnDevice,
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
