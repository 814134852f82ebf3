import { cornerFor } from '../../../core/look/place';
import type { Corner } from '../../../core/model/design';
import type { DrawnMoment, Moment } from '../../../core/model/moment';
import { decided } from '../../../core/rehearse/decided';
import type { PreviewState } from '../../../core/rehearse/preview-at';
import type { TeamNow } from '../../../core/wire/desk';
import { type TeamRow, teamRows } from '../path/availability-rows';
import type { MomentCard } from '../path/moment-cards';
import type { DrawnTransition } from '../path/transitions';
import { mirrored } from '../stage/stage-geometry';
import type { SaidKey } from '../stage/StageTexts';
import { type MomentTexts, stageTexts } from '../stage/stage-texts';
import type { DesignShared } from './DesignContext';

/** The moment that is shown on the stage, and what stands there. */
export interface Shown {
  /** The moment card that is chosen, else the first that this visitor can reach. */
  readonly moment: DrawnMoment;
  readonly momentCard: MomentCard;
  /** The transition that is chosen; null: none is. */
  readonly transition: DrawnTransition | null;
  /** What the stage draws: the moment card's, or the visit's that is being tried. */
  readonly previewState: PreviewState;
  /** The moment that it has come to there. */
  readonly momentNow: Moment;
  readonly corner: Corner;
  readonly distance: 'near' | 'whole';
  readonly texts: MomentTexts;
  /** The texts that stand on the stage, from the top down; while there is no stage, the ones that are known to. */
  readonly seenTexts: readonly SaidKey[];
  /** The text that is edited cannot be edited on the stage: it is, in the inspector. */
  readonly isEditedHere: boolean;
  /** Teams of the widget that there are. */
  readonly ownTeams: readonly TeamNow[];
  /** The same as rows; empty where there is only one. */
  readonly teamRows: readonly TeamRow[];
}

type Asked = Pick<
  DesignShared,
  'design' | 'edits' | 'overview' | 'assumptions' | 'rehearsed' | 'chosen' | 'tried'
>;

/** What of a draft is shown, by what was chosen; null where it has no moment card at all. */
export function shownOf(asked: Asked): Shown | null {
  const { overview, assumptions, rehearsed, chosen, tried } = asked;
  const { momentCards, transitions, widget, site, nameOfTeam } = rehearsed;
  const moment = chosen.moment ?? firstReached(momentCards) ?? 'at-the-door';
  const momentCard = momentCards.find((one) => one.moment === moment);
  if (momentCard === undefined) return null;
  const previewState = tried === null ? momentCard.previewState : tried.previewState;
  const momentNow = tried === null ? moment : decided(previewState.site, previewState.circumstances).moment;
  const texts = textsOf(asked, momentCard, previewState);
  const { seen, editing } = chosen;
  return {
    moment,
    momentCard,
    transition: transitions.find(({ id }) => id === chosen.aside) ?? null,
    previewState,
    momentNow,
    corner: mirrored(cornerFor(widget.place, assumptions.device === 'phone'), momentCard.dir),
    distance: chosen.distance ?? (momentNow === 'passing-by' ? 'whole' : 'near'),
    texts,
    seenTexts: chosen.isWhole ? texts.cased : seen.keys,
    isEditedHere: editing !== null && !(seen.isReadable && seen.keys.includes(editing)),
    ownTeams: overview.teams.filter(({ id }) => widget.teams.includes(id)),
    teamRows: teamRows(widget, site, nameOfTeam),
  };
}

function firstReached(momentCards: readonly MomentCard[]): DrawnMoment | undefined {
  return momentCards.find(({ moment, outOfReach }) => moment !== 'passing-by' && outOfReach === null)?.moment;
}

function textsOf(
  { design, edits, assumptions, rehearsed }: Asked,
  { moment, dir }: MomentCard,
  previewState: PreviewState,
): MomentTexts {
  const { widget, nameOfTeam, minutesEast } = rehearsed;
  const { locale } = assumptions;
  return stageTexts(moment, {
    design,
    widget,
    locale,
    previewState,
    dir,
    edits,
    minutesEast,
    nameOfTeam,
  });
}
