import { explain } from '../../../core/decide/explain';
import { useDesign } from '../state/DesignContext';
import { useDesignActions } from '../state/use-design-actions';
import { Because } from './Because';
import { useReasonContext } from './use-reason-context';

/** Why the visitor of the stage sees what stands there. */
export function DeskBecause() {
  const { rehearsed, shown, tried, isBecauseOpen, setBecauseOpen } = useDesign();
  const { previewState, momentCard } = shown;
  const { follow } = useDesignActions();
  const isThere = tried !== null || momentCard.outOfReach === null;
  return (
    <Because
      verdicts={
        isThere
          ? explain(previewState.site, previewState.circumstances)
          : explain(rehearsed.site, rehearsed.base)
      }
      context={useReasonContext()}
      onLink={follow}
      isOpen={isBecauseOpen}
      onOpen={setBecauseOpen}
    />
  );
}
