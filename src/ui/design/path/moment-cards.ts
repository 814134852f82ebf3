import { compileSite } from '../../../core/decide/compile-site';
import { decided } from '../../../core/rehearse/decided';
import type { Circumstances } from '../../../core/model/circumstances';
import type { Widget } from '../../../core/model/design';
import type { ReachabilityResult } from '../../../core/rehearse/reachability-of';
import type { Reachability } from '../../../core/rehearse/find-reachability';
import { type PreviewState, previewAt } from '../../../core/rehearse/preview-at';
import type { DrawnMoment } from '../../../core/model/moment';
import type { MinutesEast } from '../../../core/rehearse/reader-clock';
import { DRAWN_MOMENTS } from '../../../core/model/moment';
import type { PublishedSite } from '../../../core/wire/published-site';
import { type CaseOfText, FIRST_TEXT, casesOf } from '../../../core/words/cases';
import { readerOf } from '../../../core/decide/reader';
import { formatText } from '../../../core/words/format-text';
import { caseWords } from '../../wording/cases';
import { againstWords } from '../../wording/reachability';

export interface MomentCard {
  readonly moment: DrawnMoment;
  readonly previewState: PreviewState;
  readonly words: string;
  /** For whom its first text is said differently, in words; empty: for nobody. */
  readonly cases: readonly string[];
  readonly dir: 'ltr' | 'rtl';
  readonly reachability: Reachability;
  /** Why it cannot be reached in these circumstances; null: it can. */
  readonly outOfReach: string | null;
  /** Why a visitor does not get on from here, as far as the findings tell; null: they do. */
  readonly deadEnd: string | null;
}

/** What the words of a card are made with. */
export interface CardWords {
  nameOfTeam(id: string): string;
  /** The clock of the visitor who reads them. */
  readonly minutesEast: MinutesEast;
}

/**
 * Every moment card as the engine draws it for these circumstances, with the first words said there. Until the search has
 * followed, a moment card is as far as the two doors tell.
 */
export function momentCardsOf(
  site: PublishedSite,
  widget: Widget,
  base: Circumstances,
  reachability: ReachabilityResult | null,
  { nameOfTeam, minutesEast }: CardWords,
): MomentCard[] {
  const { widget: shown, state } = decided(site, base);
  const known =
    reachability !== null &&
    reachability.base === base &&
    reachability.shown === shown &&
    reachability.state === state
      ? reachability
      : null;
  const ground = {
    isShown: shown !== null,
    state,
    hasInvitations: widget.invitations.some(({ isOn }) => isOn),
    why: null,
  };
  return DRAWN_MOMENTS.map((moment): MomentCard => {
    const previewState = previewAt(site, base, moment, known?.invitation ?? null);
    const reachability =
      known === null ? guessed(moment, previewState, ground) : (known.moments[moment] ?? 'never');
    return {
      moment,
      previewState,
      words: firstWords(previewState, { widget, moment, minutesEast }),
      cases: casesAt(widget, moment).map(({ when }) => caseWords(when, nameOfTeam)),
      dir: site.design.dir,
      reachability,
      outOfReach: reachability === 'never' ? againstWords(moment, ground) : null,
      deadEnd: null,
    };
  });
}

function casesAt(widget: Widget, moment: DrawnMoment): readonly CaseOfText[] {
  return moment === 'invited' ? [] : casesOf(widget, FIRST_TEXT[moment]).slice(0, -1);
}

function guessed(
  moment: DrawnMoment,
  { needs, circumstances }: PreviewState,
  { isShown }: { readonly isShown: boolean },
): Reachability {
  if (!isShown || needs !== null) return 'never';
  if (moment === 'passing-by') return 'here';
  return moment === 'invited' && circumstances.invited === null ? 'never' : 'possible';
}

interface CardReader extends Pick<CardWords, 'minutesEast'> {
  readonly widget: Widget;
  readonly moment: DrawnMoment;
}

function firstWords(
  { site, circumstances }: PreviewState,
  { widget, moment, minutesEast }: CardReader,
): string {
  const decision = decided(site, circumstances);
  const { invited } = circumstances;
  const key =
    moment === 'invited' ? (invited === null ? null : `invitation:${invited.id}`) : FIRST_TEXT[moment];
  const live = compileSite(site).widget(decision.widget ?? widget.key);
  const words = key === null ? undefined : live?.words[key];
  if (live === undefined || words === undefined) return '';
  const line = decision.lines.find((one) => one.key === key);
  const hearer = readerOf({ site, widget: live, decision, circumstances }, minutesEast);
  return formatText(words, { siteName: site.design.siteName, ...line?.values }, hearer);
}
