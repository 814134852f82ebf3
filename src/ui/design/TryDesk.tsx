import Box from '@mui/material/Box';
import { type ReactNode, useMemo } from 'react';
import type { Moment } from '../../core/model/moment';
import type { ReasonContext } from '../wording/because';
import { LowPath } from './LowPath';
import { TryBar } from './TryBar';
import { TryPanel } from './TryPanel';
import type { Tried } from './use-tried';

interface TryDeskProps {
  readonly tried: Tried;
  /** Where the visit stands. */
  readonly here: Moment;
  readonly stage: ReactNode;
  readonly because: ReactNode;
  readonly context: ReasonContext;
  readonly onStop: () => void;
}

/** A visit that is tried, instead of inspector and path: the same stage, its time, and what is due. */
export function TryDesk({ tried, here, stage, because, context, onStop }: TryDeskProps) {
  const walked = useMemo(() => new Set(tried.last.seen.flatMap((one) => (one.kind === 'moment' ? [one.moment] : []))), [tried.last]);
  return (
    <>
      <Box sx={{ display: 'grid', gridTemplateColumns: { md: '1fr 280px', lg: '1fr 336px' }, flex: 1, minHeight: 0 }}>
        <Box sx={{ display: 'flex', minWidth: 0, minHeight: 0 }}>{stage}</Box>
        <TryPanel tried={tried} context={context} onStop={onStop} />
      </Box>
      <TryBar tried={tried} nameOfInvitation={context.invitationName} />
      {because}
      <LowPath here={here} walked={walked} />
    </>
  );
}
