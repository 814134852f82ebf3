import Box from '@mui/material/Box';
import { useMemo } from 'react';
import { heldAt } from '../../../core/rehearse/kept-visit';
import { readSteps, startOf, writeSteps } from '../../../core/rehearse/try-visit';
import { newClientId } from '../../parts/new-client-id';
import { KeepForm, KeptVisits } from './KeptVisits';
import { LowPath } from '../path/LowPath';
import { TryBar } from './TryBar';
import { TryPanel } from './TryPanel';
import { DeskBecause } from '../reasons/DeskBecause';
import { useReasonContext } from '../reasons/use-reason-context';
import { DeskStage } from '../stage/DeskStage';
import { useDesign } from '../state/DesignContext';
import { useKept } from './use-kept';
import type { Tried } from './use-tried';

/** A visit that is tried, instead of inspector and path: the same stage, its time, and what is due. */
export function TryDesk({ tried }: { readonly tried: Tried }) {
  const { form, design, rehearsed, assumptions, assume, shown, trying } = useDesign();
  const here = shown.momentNow;
  const context = useReasonContext();
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
    <TryPanel tried={tried} context={context} onStop={trying.stop}>
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
          assume(visit.assumptions);
          tried.set(readSteps(visit.steps));
        }}
        onRemove={kept.remove}
      />
    </TryPanel>
  );
  const bar = <TryBar tried={tried} nameOfInvitation={context.invitationName} />;
  if (form === 'phone')
    return (
      <>
        <LowPath here={here} visited={visited} />
        <DeskBecause />
        <Box sx={{ height: 534, display: 'flex' }}>
          <DeskStage />
        </Box>
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
        <Box sx={{ display: 'flex', minWidth: 0, minHeight: 0 }}>
          <DeskStage />
        </Box>
        {panel}
      </Box>
      {bar}
      <DeskBecause />
      <LowPath here={here} visited={visited} />
    </>
  );
}
