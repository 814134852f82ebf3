import Box from '@mui/material/Box';
import { type ReactNode, useMemo } from 'react';
import type { Design } from '../../../core/model/design';
import type { Moment } from '../../../core/model/moment';
import { heldAt } from '../../../core/rehearse/kept-visit';
import type { Assumptions } from '../../../core/rehearse/assumptions';
import { readSteps, startOf, writeSteps } from '../../../core/rehearse/try-visit';
import { newClientId } from '../../parts/new-client-id';
import type { ReasonContext } from '../../wording/because';
import { KeepForm, KeptVisits } from './KeptVisits';
import { LowPath } from '../path/LowPath';
import { TryBar } from './TryBar';
import { TryPanel } from './TryPanel';
import { useKept } from './use-kept';
import type { Rehearsed } from '../state/use-rehearsed';
import type { Tried } from './use-tried';

interface TryDeskProps {
  readonly tried: Tried;
  /** Everything stands below one another. */
  readonly isPhone: boolean;
  /** Where the visit stands. */
  readonly here: Moment;
  readonly stage: ReactNode;
  readonly because: ReactNode;
  readonly context: ReasonContext;
  readonly onStop: () => void;
  readonly design: Design;
  readonly rehearsed: Rehearsed;
  readonly assumptions: Assumptions;
  /** To the circumstances a kept visit has. */
  readonly onSuppose: (assumptions: Assumptions) => void;
}

/** A visit that is tried, instead of inspector and path: the same stage, its time, and what is due. */
export function TryDesk({
  tried,
  isPhone,
  here,
  stage,
  because,
  context,
  onStop,
  design,
  rehearsed,
  assumptions,
  onSuppose,
}: TryDeskProps) {
  const { state, widget } = rehearsed;
  const kept = useKept(design);
  const visited = useMemo(
    () => new Set(tried.last.seen.flatMap((one) => (one.kind === 'moment' ? [one.moment] : []))),
    [tried.last],
  );
  // Kept, it has a time and people of its own: it comes to the same whenever it is run.
  const fixed = {
    ...assumptions,
    at: assumptions.at ?? startOf(tried.simulations),
    who: assumptions.who ?? (state === 'closed' ? 'nobody' : state),
  };
  const panel = (
    <TryPanel tried={tried} context={context} onStop={onStop}>
      <KeepForm
        moment={here}
        got={tried.last.seen.flatMap((one) => (one.kind === 'invited' ? [one.id] : []))}
        invitations={widget.invitations.filter(({ isOn }) => isOn)}
        nameOf={context.invitationName}
        onKeep={(name, expects) =>
          kept.keep({
            id: newClientId(),
            name,
            assumptions: fixed,
            held: heldAt(rehearsed.site.pointer.overrides, fixed.at),
            steps: writeSteps(tried.steps),
            expects,
          })
        }
      />
      <KeptVisits
        all={kept.all}
        nameOf={context.invitationName}
        onTry={({ visit }) => {
          onSuppose(visit.assumptions);
          tried.set(readSteps(visit.steps));
        }}
        onRemove={kept.remove}
      />
    </TryPanel>
  );
  const bar = <TryBar tried={tried} nameOfInvitation={context.invitationName} />;
  if (isPhone)
    return (
      <>
        <LowPath here={here} visited={visited} />
        {because}
        <Box sx={{ height: 534, display: 'flex' }}>{stage}</Box>
        {bar}
        {panel}
      </>
    );
  return (
    <>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { md: '1fr 280px', lg: '1fr 336px' },
          flex: 1,
          minHeight: 0,
        }}
      >
        <Box sx={{ display: 'flex', minWidth: 0, minHeight: 0 }}>{stage}</Box>
        {panel}
      </Box>
      {bar}
      {because}
      <LowPath here={here} visited={visited} />
    </>
  );
}
