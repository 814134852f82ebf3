import { zoneOf } from '../../../core/hours/hours-now';
import type { Design } from '../../../core/model/design';
import type { PublishedSite } from '../../../core/wire/published-site';
import type { ReasonContext } from '../../wording/because';
import { untilWords } from '../../wording/times';
import { useDesign } from '../state/DesignContext';
import { SHARED_WORDS } from '../../wording/screens/shared';

/** What the reasons of the draft on the screen need to be said. */
export function useReasonContext(): ReasonContext {
  const { design, rehearsed, shown } = useDesign();
  const [team] = shown.ownTeams;
  const teamName = team === undefined ? 'nobody' : rehearsed.nameOfTeam(team.id);
  return reasonContext(design, rehearsed.site, rehearsed.base.now, teamName);
}

/** What reasons need to be said: names of the draft, and times as the site's clock says them from `now` on. */
function reasonContext(
  { widgets }: Design,
  site: PublishedSite,
  now: number,
  teamName: string,
): ReasonContext {
  const all = widgets.flatMap(({ invitations }) => invitations);
  return {
    teamName,
    widgetName: (key) => widgets.find((one) => one.key === key)?.name ?? key,
    invitationName: (id) => all.find((one) => one.id === id)?.name ?? SHARED_WORDS.anInvitation,
    untilWords: (instant) => untilWords(zoneOf(site, site.facts.zone), now, instant),
  };
}
