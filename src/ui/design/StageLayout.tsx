import Box from '@mui/material/Box';
import { Inspector } from './inspector/Inspector';
import { InspectorSheet } from './inspector/InspectorSheet';
import { Path } from './path/Path';
import { DeskBecause } from './reasons/DeskBecause';
import { DeskStage } from './stage/DeskStage';
import { Later } from './stage/Later';
import { useDesign } from './state/DesignContext';

/** Stage and inspector side by side, why this shows under the stage, the path below; on a narrow screen the inspector lies over the stage while it is asked for. */
export function StageLayout() {
  return (
    <>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { md: '1fr', lg: '1fr 336px' },
          flex: 1,
          minHeight: 0,
          position: 'relative',
        }}
      >
        <Box sx={{ display: 'flex', flexDirection: 'column', minWidth: 0, minHeight: 0 }}>
          <DeskStage />
          <Later>
            <DeskBecause />
          </Later>
        </Box>
        <InspectorBeside />
      </Box>
      <Path />
    </>
  );
}

function InspectorBeside() {
  const { form, chosen, acts, shown } = useDesign();
  if (form === 'wide')
    return (
      <Box sx={{ display: { xs: 'none', lg: 'contents' } }}>
        <Inspector />
      </Box>
    );
  if (!chosen.isSheetOpen && !shown.isEditedHere) return null;
  return (
    <InspectorSheet onClose={() => acts.set({ isSheetOpen: false })}>
      <Inspector />
    </InspectorSheet>
  );
}
