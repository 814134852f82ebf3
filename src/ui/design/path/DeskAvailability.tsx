import { useDesign } from '../state/DesignContext';
import { availabilityRows } from './availability-rows';
import { AvailabilityTable } from './AvailabilityTable';

/** *Who can answer?* of the draft on the screen, as a table. */
export function DeskAvailability() {
  const { rehearsed, shown, chosen, acts } = useDesign();
  return (
    <AvailabilityTable
      rows={availabilityRows(rehearsed.widget, rehearsed.state, true)}
      teams={shown.teamRows}
      isChosen={chosen.aside === 'availability'}
      onChoose={() => {
        acts.chooseAside('availability');
        acts.set({ isPhoneStageOpen: true });
      }}
    />
  );
}
