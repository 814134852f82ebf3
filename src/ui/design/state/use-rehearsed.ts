'use client';

import { useCallback, useMemo } from 'react';
import { zoneOf } from '../../../core/hours/hours-now';
import type { TransitionId } from '../../../core/model/transition';
import { laterAt } from '../../../core/rehearse/later';
import { type MinutesEast, readerClock } from '../../../core/rehearse/reader-clock';
import { decided } from '../../../core/rehearse/decided';
import type { Finding } from '../../../core/findings/finding';
import type { Circumstances } from '../../../core/model/circumstances';
import type { Design, Widget } from '../../../core/model/design';
import type { WidgetState } from '../../../core/model/moment';
import {
  type Situation,
  type Assumptions,
  situationsOf,
  assumedSite,
  assumedVisitor,
} from '../../../core/rehearse/assumptions';
import type { Overview } from '../../../core/wire/desk';
import type { PublishedSite } from '../../../core/wire/published-site';
import { findingSentence } from '../../wording/findings';
import { untilWords } from '../../wording/times';
import { teamName } from '../../wording/states';
import { draftSite } from './draft-site';
import type { ReachabilityResult } from '../../../core/rehearse/reachability-of';
import { type MomentCard, momentCardsOf } from '../path/moment-cards';
import { useReachability } from './use-reachability';
import { useSame } from '../../parts/use-stable';
import { type DrawnTransition, transitionsOf } from '../path/transitions';
import { DESIGN_WORDS } from '../../wording/screens/design';

/** A draft as it is for one visitor in the assumed circumstances: all that stage, path and Because draw. */
export interface Rehearsed {
  readonly site: PublishedSite;
  /** The same with people as they are. */
  readonly asItIs: PublishedSite;
  readonly base: Circumstances;
  /** The widget that is edited: the one that shows there, else the first. */
  readonly widget: Widget;
  readonly place: number;
  /** The key of the widget that shows; null: none does. */
  readonly shown: string | null;
  readonly state: WidgetState;
  readonly reachability: ReachabilityResult | null;
  /** How near each moment card is holds for these circumstances, and moves no more. */
  readonly isSought: boolean;
  readonly momentCards: readonly MomentCard[];
  readonly transitions: readonly DrawnTransition[];
  readonly situations: readonly Situation[];
  /** The clock of the visitor. */
  readonly minutesEast: MinutesEast;
  nameOfTeam(id: string): string;
}

/** Draws a draft for the assumed circumstances; else what is wrong with it, in words. */
export function useRehearsed(
  design: Design,
  assumptions: Assumptions,
  overview: Overview,
  findings: readonly Finding[],
): Rehearsed | string {
  const { page, locale } = assumptions;
  const made = useMemo(() => draftSite(design, locale, overview), [design, locale, overview]);
  const asItIs = made.ok ? made.value : null;
  const site = useMemo(
    () => (asItIs === null ? null : assumedSite(asItIs, assumptions)),
    [asItIs, assumptions],
  );
  const base = useMemo(() => assumedVisitor(assumptions, overview.now), [assumptions, overview.now]);
  const { zone } = assumptions;
  const facts = site?.facts;
  const minutesEast = useMemo(
    () => (facts === undefined ? inUtc : readerClock({ facts }, zone)),
    [facts, zone],
  );
  const decision = useMemo(() => (site === null ? null : decided(site, base)), [site, base]);
  const shown = decision?.widget ?? null;
  const place = Math.max(
    0,
    design.widgets.findIndex(({ key }) => key === shown),
  );
  const widget = design.widgets[place];
  const nameOfTeam = useCallback(
    (id: string) => teamName(overview.teams.find((team) => team.id === id)),
    [overview.teams],
  );
  // The search may follow a little later; what stands on the moment cards may not.
  const { reachability, isOver: isSought } = useReachability(site, base);
  const whole = useMemo(
    () =>
      site !== null && widget !== undefined
        ? momentCardsOf(site, widget, base, reachability, { nameOfTeam, minutesEast })
        : [],
    [site, widget, base, reachability, nameOfTeam, minutesEast],
  );
  const momentCards = useMemo(() => withDeadEnds(whole, findings, widget), [whole, findings, widget]);
  const calendarId = widget?.calendarId ?? null;
  const found = useMemo(
    () =>
      asItIs === null
        ? []
        : situationsOf(
            asItIs,
            calendarId,
            { page, locale: design.defaultLocale, locales: design.locales },
            overview.now,
          ),
    [asItIs, calendarId, page, design.defaultLocale, design.locales, overview.now],
  );
  const situations = useSame(found);
  const invitation = reachability?.invitation ?? null;
  const later = useCallback(
    (transition: TransitionId): string | null | undefined => {
      if (site === null || widget === undefined) return undefined;
      const at = laterAt(site, widget, transition, base.now);
      return typeof at === 'number' ? untilWords(zoneOf(site, site.facts.zone), base.now, at) : at;
    },
    [site, widget, base.now],
  );
  const drawn = useMemo(
    () =>
      widget === undefined
        ? []
        : transitionsOf(design, widget, { teamName: nameOfTeam, first: invitation, later }),
    [design, widget, nameOfTeam, invitation, later],
  );
  const transitions = useSame(drawn);
  if (!made.ok) return DESIGN_WORDS.unreadableText(made.errors[0]?.key ?? '');
  if (widget === undefined || site === null || asItIs === null || decision === null)
    return DESIGN_WORDS.noWidgetInDraft;
  return {
    site,
    asItIs,
    base,
    widget,
    place,
    shown,
    state: decision.state,
    reachability,
    isSought,
    momentCards,
    transitions,
    situations,
    minutesEast,
    nameOfTeam,
  };
}

const inUtc: MinutesEast = () => 0;

/** A finding without a widget of its own cracks the moment cards of every widget. */
function withDeadEnds(
  momentCards: readonly MomentCard[],
  findings: readonly Finding[],
  widget: Widget | undefined,
): readonly MomentCard[] {
  const deadEnds = findings.filter(
    ({ deadEnd, widgetId }) => deadEnd !== null && (widgetId === null || widgetId === widget?.id),
  );
  if (deadEnds.length === 0) return momentCards;
  return momentCards.map((momentCard) => {
    const found = deadEnds.find(({ deadEnd }) => deadEnd === momentCard.moment);
    return found === undefined ? momentCard : { ...momentCard, deadEnd: findingSentence(found) };
  });
}
