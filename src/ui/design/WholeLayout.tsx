import { Here } from './inspector/Inspector';
import { isFarRight } from './path/path-layout';
import { PathCard } from './path/PathCard';
import { WholePath } from './path/WholePath';
import { DeskBecause } from './reasons/DeskBecause';
import { Later } from './stage/Later';
import { useDesign } from './state/DesignContext';
import { useDesignActions } from './state/use-design-actions';

/** The path as a whole, instead of stage and inspector; the settings of what is chosen lie beside it. */
export function WholeLayout() {
  const { chosen } = useDesign();
  return (
    <>
      <Later>
        <DeskBecause />
      </Later>
      <WholePath card={chosen.isCardOpen ? <SettingsCard /> : null} />
    </>
  );
}

function SettingsCard() {
  const { chosen, acts, shown } = useDesign();
  const { toStage } = useDesignActions();
  return (
    <PathCard
      isLeft={isFarRight(shown.transition?.to ?? shown.moment)}
      onClose={() => acts.set({ isCardOpen: false, aside: null })}
      onStage={chosen.aside === null ? toStage : null}
    >
      <Here />
    </PathCard>
  );
}
