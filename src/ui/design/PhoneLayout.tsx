import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Inspector } from './inspector/Inspector';
import { PhonePath } from './path/PhonePath';
import { DeskBecause } from './reasons/DeskBecause';
import { DeskStage } from './stage/DeskStage';
import { Later } from './stage/Later';
import { useDesign } from './state/DesignContext';
import { DESIGN_WORDS } from '../wording/screens/design';

/** On a phone: the walk, or one moment's stage with everything of it below. */
export function PhoneLayout() {
  const { chosen } = useDesign();
  return (
    <>
      <Later>
        <DeskBecause />
      </Later>
      {chosen.isPhoneStageOpen ? <PhoneStage /> : <PhonePath />}
    </>
  );
}

function PhoneStage() {
  const { acts } = useDesign();
  return (
    <Box>
      <Box sx={{ px: 1, py: 0.5 }}>
        <Button size="small" onClick={() => acts.set({ isPhoneStageOpen: false })} sx={{ minHeight: 44 }}>
          {DESIGN_WORDS.backToThePath}
        </Button>
      </Box>
      <Box sx={{ height: 534, display: 'flex' }}>
        <DeskStage />
      </Box>
      <Inspector />
    </Box>
  );
}
