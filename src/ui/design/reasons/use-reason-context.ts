import type { ReasonContext } from '../../wording/because';
import { useDesign } from '../state/DesignContext';
import { reasonContext } from './reason-context';

/** What the reasons of the draft on the screen need to be said. */
export function useReasonContext(): ReasonContext {
  const { design, rehearsed, shown } = useDesign();
  const [team] = shown.ownTeams;
  const teamName = team === undefined ? 'nobody' : rehearsed.nameOfTeam(team.id);
  return reasonContext(design, rehearsed.site, rehearsed.base.now, teamName);
}
