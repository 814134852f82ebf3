'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import { useToastsAbove } from '../parts/use-toasts-above';
import type { Overview } from '../../core/wire/desk';
import { useSite } from '../frame/SiteContext';
import { HIDDEN } from '../theme/hidden';
import { DeskCircumstances } from './circumstances/DeskCircumstances';
import { ClashDialog } from './draft/ClashDialog';
import type { DraftSaver, DraftState } from './draft/draft-saver';
import { PATH_HEIGHT } from './path/path-layout';
import { ReaderClock } from './path/WidgetTile';
import { PhoneLayout } from './PhoneLayout';
import { SiteEdge } from './SiteEdge';
import { StageLayout } from './StageLayout';
import { DesignProvider, useDesign } from './state/DesignContext';
import { useDesignState } from './state/use-design-state';
import { TryDesk } from './visit/TryDesk';
import { WholeLayout } from './WholeLayout';
import { DESIGN_WORDS } from '../wording/screens/design';

interface DesignDeskProps {
  readonly saver: DraftSaver;
  readonly draft: DraftState;
  readonly overview: Overview;
}

/** The screen nobody else has: circumstances, stage, inspector, Because and path over one draft. */
export function DesignDesk({ saver, draft, overview }: DesignDeskProps) {
  const { siteName } = useSite();
  // Below the stage there are reasons and path, which a toast would cover.
  useToastsAbove(PATH_HEIGHT + WHY_PX + 12);
  const shared = useDesignState(saver, draft, overview);
  if (typeof shared === 'string') return <Alert severity="error">{DESIGN_WORDS.notDrawn(shared)}</Alert>;
  if (shared === null) return null;
  return (
    <DesignProvider shared={shared}>
      <Box
        sx={{
          display: 'flex',
          flexDirection: 'column',
          height: { xs: 'auto', md: 'calc(100vh - 3rem)' },
          minHeight: 0,
        }}
      >
        <Box component="h1" sx={HIDDEN}>
          {DESIGN_WORDS.designOf(siteName)}
        </Box>
        <SiteEdge brand={shared.rehearsed.widget.look.brand} />
        <DeskCircumstances />
        <ReaderClock value={shared.rehearsed.minutesEast}>
          <Box sx={shared.form === 'phone' ? { display: 'contents' } : NOT_ON_PHONES}>
            <Layout />
          </Box>
        </ReaderClock>
        <ClashDialog clashes={draft.clashes} onChoose={saver.choose} />
        {shared.publishing.dialog}
      </Box>
    </DesignProvider>
  );
}

/** The server does not know how wide the screen is: what it drew for a wide one waits unseen on a phone until the browser has. */
const NOT_ON_PHONES = { display: { xs: 'none', md: 'contents' } } as const;

/** The line of reasons under the stage. */
const WHY_PX = 32;

function Layout() {
  const { form, chosen, tried } = useDesign();
  if (tried !== null) return <TryDesk tried={tried} />;
  if (form === 'phone') return <PhoneLayout />;
  return chosen.isWhole ? <WholeLayout /> : <StageLayout />;
}
