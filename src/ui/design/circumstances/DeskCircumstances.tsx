import { bestOf } from '../../../core/context/presence';
import { zoneOf } from '../../../core/hours/hours-now';
import type { Assumptions } from '../../../core/rehearse/assumptions';
import type { Overview, TeamNow } from '../../../core/wire/desk';
import { CircumstancesSentence } from './CircumstancesSentence';
import type { DraftSaver, DraftState } from '../draft/draft-saver';
import { DraftBar } from '../draft/DraftBar';
import { useSame } from '../../parts/use-same';
import type { Situations } from './use-situations';
import { useStable } from '../../parts/use-stable';
import type { Rehearsed } from '../state/use-rehearsed';

interface DeskCircumstancesProps {
  readonly saver: DraftSaver;
  readonly draft: DraftState;
  readonly overview: Overview;
  readonly rehearsed: Rehearsed;
  readonly assumptions: Assumptions;
  /** Of the site, by its name. */
  readonly zone: string;
  /** The teams of the widget that there are. */
  readonly teams: readonly TeamNow[];
  /** Null: nothing was published yet. */
  readonly changeCount: number | null;
  readonly situations: Situations;
  readonly onSuppose: (part: Partial<Assumptions>) => void;
  readonly onWidget: (key: string) => void;
  readonly onPublish: () => void;
}

/** The sentence of circumstances over a draft, with the draft's own bar at its end. */
export function DeskCircumstances({
  saver,
  draft,
  overview,
  rehearsed,
  assumptions,
  zone: zoneName,
  teams,
  ...rest
}: DeskCircumstancesProps) {
  const { site, shown, nameOfTeam } = rehearsed;
  const { widgets } = draft.design;
  const locales = useSame(draft.design.locales);
  const [team] = teams;
  const zone = useSame(zoneOf(site, site.facts.zone));
  const named = useSame(widgets.map(({ key, name }) => [key, name] as const));
  const asking = useSame(teams.length > 1 ? teams.map(({ id }) => [id, nameOfTeam(id)] as const) : []);
  const onWidget = useStable(rest.onWidget);
  const asked = teams.find(({ id }) => id === assumptions.asks);
  return (
    <CircumstancesSentence
      assumptions={assumptions}
      onSuppose={rest.onSuppose}
      widgets={named}
      shown={shown}
      onWidget={onWidget}
      locales={locales}
      now={overview.now}
      zone={zone}
      zoneName={zoneName}
      teamName={
        asked !== undefined
          ? nameOfTeam(asked.id)
          : teams.length > 1
            ? `${teams.length} teams`
            : team === undefined
              ? 'nobody'
              : nameOfTeam(team.id)
      }
      teamState={asked?.state ?? bestOf(teams.map(({ state }) => state))}
      teams={asking}
      situations={rest.situations}
    >
      <DraftBar
        draft={draft}
        saver={saver}
        changeCount={rest.changeCount}
        nextVersion={overview.newestVersion + 1}
        onPublish={rest.onPublish}
      />
    </CircumstancesSentence>
  );
}
