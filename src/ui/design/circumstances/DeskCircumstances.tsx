import { bestOf } from '../../../core/context/presence';
import { zoneOf } from '../../../core/hours/hours-now';
import type { TeamNow } from '../../../core/wire/desk';
import { useSite } from '../../frame/SiteContext';
import { useSame, useStable } from '../../parts/use-stable';
import { DraftBar } from '../draft/DraftBar';
import { useDesign } from '../state/DesignContext';
import { useDesignActions } from '../state/use-design-actions';
import { CircumstancesSentence } from './CircumstancesSentence';

/** The sentence of circumstances over a draft, with the draft's own bar at its end. */
export function DeskCircumstances() {
  const { saver, draft, design, overview, rehearsed, assumptions, assume, situations, publishing, shown } =
    useDesign();
  const { zone: zoneName } = useSite();
  const { site, nameOfTeam } = rehearsed;
  const teams = shown.ownTeams;
  const asked = teams.find(({ id }) => id === assumptions.asks);
  const place = useSame({
    widgets: design.widgets.map(({ key, name }) => [key, name] as const),
    shown: rehearsed.shown,
    locales: design.locales,
  });
  const clock = useSame({ now: overview.now, zone: zoneOf(site, site.facts.zone), zoneName });
  const people = useSame({
    name: askedName(asked === undefined ? teams : [asked], nameOfTeam),
    state: asked?.state ?? bestOf(teams.map(({ state }) => state)),
    teams: teams.length > 1 ? teams.map(({ id }) => [id, nameOfTeam(id)] as const) : [],
  });
  return (
    <CircumstancesSentence
      assumptions={assumptions}
      onSuppose={assume}
      place={place}
      onWidget={useStable(useDesignActions().lookAt)}
      clock={clock}
      people={people}
      situations={situations}
    >
      <DraftBar
        draft={draft}
        saver={saver}
        changeCount={publishing.changeCount}
        nextVersion={overview.newestVersion + 1}
        onPublish={publishing.begin}
      />
    </CircumstancesSentence>
  );
}

/** The team that is meant; null: there are several, or none. */
function askedName(teams: readonly TeamNow[], nameOfTeam: (id: string) => string): string | null {
  const [team] = teams;
  return team === undefined || teams.length > 1 ? null : nameOfTeam(team.id);
}
