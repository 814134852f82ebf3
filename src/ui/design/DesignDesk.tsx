'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { cornerFor } from '../../core/look/place';
import { decided } from '../../core/rehearse/decided';
import type { Finding } from '../../core/findings/finding';
import { explain } from '../../core/decide/explain';
import { pageShowing } from '../../core/rehearse/page-showing';
import type { TextKey } from '../../core/model/text-keys';
import type { Overview } from '../../core/wire/desk';
import { HIDDEN } from '../theme/hidden';
import type { ReasonLink } from '../wording/because';
import { Because } from './reasons/Because';
import { DeskStage } from './stage/DeskStage';
import { DeskCircumstances } from './circumstances/DeskCircumstances';
import { Later } from './stage/Later';
import { openPart } from './circumstances/circumstance-parts';
import type { DraftSaver, DraftState } from './draft/draft-saver';
import { ClashDialog } from './draft/ClashDialog';
import { DeskCases } from './cases/DeskCases';
import { designEdits } from './draft/design-edits';
import { availabilityRows, teamRows } from './path/availability-rows';
import { AvailabilityTable } from './path/AvailabilityTable';
import { Here, Inspector, type InspectorProps } from './inspector/Inspector';
import { InspectorSheet } from './inspector/InspectorSheet';
import { Path } from './path/Path';
import { isFarRight } from './path/path-layout';
import { PathCard } from './path/PathCard';
import { PhonePath } from './path/PhonePath';
import { reasonContext } from './reasons/reason-context';
import { mirrored } from './stage/stage-geometry';
import { stageTexts } from './stage/stage-texts';
import { useAskedWidget } from './state/use-asked-widget';
import { useChosen } from './state/use-chosen';
import { useDeskKeys } from './state/use-desk-keys';
import { useFirstText } from './stage/use-first-text';
import { useRehearsed } from './state/use-rehearsed';
import { TryDesk } from './visit/TryDesk';
import { usePublishing } from './draft/use-publishing';
import { usePagePictures } from './stage/use-page-pictures';
import { useSituations } from './circumstances/use-situations';
import { useAssumptions } from './circumstances/use-assumptions';
import { useTried } from './visit/use-tried';
import { WholePath } from './path/WholePath';
import { useSite } from '../frame/SiteContext';
import { useFindings } from '../findings/FindingsContext';

interface DesignDeskProps {
  readonly saver: DraftSaver;
  readonly draft: DraftState;
  readonly overview: Overview;
}

/** The screen nobody else has: circumstances, stage, inspector, Because and path over one draft. */
export function DesignDesk({ saver, draft, overview }: DesignDeskProps) {
  const { siteName, zone } = useSite();
  const { findings, tellDesign } = useFindings();
  const { design } = draft;
  const [assumptions, assume] = useAssumptions(design);
  const [chosen, acts] = useChosen();
  const { choose, chooseAside, set } = acts;
  const [isBecauseOpen, setBecauseOpen] = useState(false);
  const openBecause = useCallback(() => setBecauseOpen(true), []);
  // Findings are of the draft: a version that is only looked at has none.
  const open = (draft.version === null ? findings?.open : null) ?? NO_FINDINGS;
  const publishing = usePublishing(saver, draft, overview, open);
  const firstText = useFirstText();
  const isNarrow = useMediaQuery('(max-width: 1199.5px)', { noSsr: true });
  const isPhone = useMediaQuery('(max-width: 899.5px)', { noSsr: true });
  const rehearsed = useRehearsed(design, assumptions, overview, open);
  const { version } = draft;
  useEffect(() => (version === null ? tellDesign(design) : undefined), [tellDesign, design, version]);
  const { situations: computed, place } = typeof rehearsed === 'string' ? NOTHING : rehearsed;
  const situations = useSituations(computed, assumptions, assume);
  const { flip } = situations;
  const [undo, redo] = useMemo(
    () => [() => void saver.step('undo'), () => void saver.step('redo')] as const,
    [saver],
  );
  const whole = useCallback(() => set({ isWhole: !chosen.isWhole }), [set, chosen.isWhole]);
  useAskedWidget(design, rehearsed, assumptions, assume);
  const [tried, trying] = useTried(
    typeof rehearsed === 'string' ? null : rehearsed.site,
    typeof rehearsed === 'string' ? null : rehearsed.base,
  );
  const editText = useCallback(
    (key: TextKey) => set({ editing: key, cased: key, distance: 'near', isSheetOpen: false }),
    [set],
  );
  const toAvailability = useCallback(() => chooseAside('availability'), [chooseAside]);
  const tryIt = useCallback(() => (tried === null ? trying.begin() : trying.stop()), [tried, trying]);
  useDeskKeys({ undo, redo, because: openBecause, whole, flip, tryIt });
  const [backdrop, pictureActs] = usePagePictures(chosen.backdrop, assumptions);
  const edits = useMemo(() => designEdits(saver, place), [saver, place]);
  if (typeof rehearsed === 'string')
    return <Alert severity="error">The draft cannot be drawn: {rehearsed}. Undo the last change.</Alert>;

  const { site, base, widget, state, momentCards, transitions, nameOfTeam } = rehearsed;
  const moment =
    chosen.moment ??
    momentCards.find(({ moment: one, outOfReach }) => one !== 'passing-by' && outOfReach === null)?.moment ??
    'at-the-door';
  const momentCard = momentCards.find((one) => one.moment === moment);
  if (momentCard === undefined) return null;
  const previewState = tried === null ? momentCard.previewState : tried.previewState;
  const momentNow = tried === null ? moment : decided(previewState.site, previewState.circumstances).moment;
  const corner = mirrored(cornerFor(widget.place, assumptions.device === 'phone'), momentCard.dir);
  const ownTeams = overview.teams.filter(({ id }) => widget.teams.includes(id));
  const [ownTeam] = ownTeams;
  const teams = teamRows(widget, site, nameOfTeam);
  const distance = chosen.distance ?? (momentNow === 'passing-by' ? 'whole' : 'near');
  const texts = stageTexts(moment, {
    design,
    widget,
    locale: assumptions.locale,
    previewState,
    dir: momentCard.dir,
    edits,
    nameOfTeam,
  });
  const transition = transitions.find(({ id }) => id === chosen.aside);
  const toStage = (): void => set({ isWhole: false, isCardOpen: false });
  const lookAt = (key: string): void => {
    const wanted = design.widgets.find((one) => one.key === key);
    const there = wanted === undefined ? null : pageShowing(site, wanted, assumptions, overview.now);
    if (there !== null) assume({ page: there });
  };
  const follow = (link: ReasonLink): void => {
    setBecauseOpen(false);
    if (link.to === 'that-widget') lookAt(link.key);
    else if (link.to === 'availability') chooseAside('availability');
    else if (link.to === 'invitation') {
      choose('invited');
      chooseAside('invitation-shown');
    } else openPart(link.to);
  };
  const settings: InspectorProps = {
    side: chosen.side,
    onSide: (side) => set({ side }),
    moment,
    design,
    aside:
      chosen.aside === 'availability'
        ? { kind: 'availability' }
        : transition === undefined
          ? null
          : { kind: 'transition', transition },
    stateNow: state,
    teams,
    widget,
    alsoSaid: texts.alsoSaid,
    onEdit: editText,
    outOfReach: momentCard.outOfReach,
    findings: open.filter(({ widgetId }) => widgetId === null || widgetId === widget.id),
    onWidget: edits.setWidget,
    site,
    base,
    pictures: pictureActs,
    scheme: chosen.scheme,
    onScheme: (scheme) => set({ scheme }),
    sight: chosen.sight,
    onSight: (sight) => set({ sight }),
    openParts: chosen.lookParts,
    onOpenParts: (lookParts) => set({ lookParts }),
    onCorner: edits.setCorner,
    onSetting: edits.setSetting,
    onBehaviour: edits.setBehaviour,
    onChoose: (next) => {
      choose(next);
      toStage();
    },
    onAvailability: () => chooseAside('availability'),
    nameOfTeam,
  };
  const cases = (
    <DeskCases
      {...{ design, rehearsed, assumptions, moment, texts, edits, corner }}
      now={overview.now}
      asked={chosen.cased}
      onText={(cased) => set({ cased })}
      onSuppose={assume}
    />
  );
  const stage = (
    <DeskStage
      {...{
        previewState,
        corner,
        widget,
        assumptions,
        assume,
        chosen,
        acts,
        distance,
        texts,
        edits,
        moment,
        transitions,
        cases,
      }}
      form={isPhone ? 'phone' : isNarrow ? 'narrow' : 'wide'}
      isTried={tried !== null}
      backdrop={backdrop}
      pictures={pictureActs}
      firstTextRef={firstText.take}
    />
  );
  const context = reasonContext(
    design,
    site,
    base.now,
    ownTeam === undefined ? 'nobody' : nameOfTeam(ownTeam.id),
  );
  const availabilityTable = (
    <AvailabilityTable
      rows={availabilityRows(widget, state, true)}
      teams={teams}
      isChosen={chosen.aside === 'availability'}
      onChoose={() => {
        chooseAside('availability');
        set({ isPhoneStageOpen: true });
      }}
    />
  );
  const because = (
    <Because
      verdicts={explain(
        previewState.site,
        tried !== null || momentCard.outOfReach === null ? previewState.circumstances : base,
      )}
      context={context}
      onLink={follow}
      isOpen={isBecauseOpen}
      onOpen={setBecauseOpen}
    />
  );
  return (
    <Box
      sx={{
        display: 'flex',
        flexDirection: 'column',
        height: { xs: 'auto', md: 'calc(100vh - 48px)' },
        minHeight: 0,
      }}
    >
      <Box component="h1" sx={HIDDEN}>
        Design of {siteName}
      </Box>
      <DeskCircumstances
        {...{ saver, draft, overview, rehearsed, assumptions, zone, situations }}
        teams={ownTeams}
        changeCount={publishing.changeCount}
        onSuppose={assume}
        onWidget={lookAt}
        onPublish={publishing.begin}
      />
      {tried !== null ? (
        <TryDesk
          {...{ tried, isPhone, design, rehearsed, assumptions, stage, because, context }}
          here={momentNow}
          onSuppose={assume}
          onStop={trying.stop}
        />
      ) : isPhone ? (
        <>
          <Later>{because}</Later>
          <PhonePath
            momentCards={momentCards}
            transitions={transitions}
            isSought={rehearsed.isSought}
            chosen={chosen.isPhoneStageOpen ? moment : null}
            onChoose={choose}
            onBack={() => set({ isPhoneStageOpen: false })}
            stage={stage}
            cases={cases}
            inspector={<Inspector {...settings} />}
            availability={availabilityTable}
            onTry={trying.begin}
          />
        </>
      ) : chosen.isWhole ? (
        <>
          <Later>{because}</Later>
          <WholePath
            momentCards={momentCards}
            transitions={transitions}
            chosen={moment}
            onChoose={(next) => {
              choose(next);
              if (next === moment && chosen.aside === null) set({ isCardOpen: true });
            }}
            onEnter={() => {
              firstText.focusSoon();
              toStage();
            }}
            chosenTransition={transition?.id ?? null}
            onTransition={chooseAside}
            availability={availabilityTable}
            onClose={toStage}
            card={
              chosen.isCardOpen ? (
                <PathCard
                  isLeft={isFarRight(transition?.to ?? moment)}
                  onClose={() => set({ isCardOpen: false, aside: null })}
                  onStage={chosen.aside === null ? toStage : null}
                >
                  <Here {...settings} />
                </PathCard>
              ) : null
            }
          />
        </>
      ) : (
        <>
          <Box
            sx={{
              display: 'grid',
              gridTemplateColumns: { md: '1fr', lg: '1fr 336px' },
              flex: 1,
              minHeight: 0,
              position: 'relative',
            }}
          >
            <Box sx={{ display: 'flex', minWidth: 0, minHeight: 0 }}>{stage}</Box>
            {!isNarrow ? (
              <Inspector {...settings} />
            ) : chosen.isSheetOpen ? (
              <InspectorSheet onClose={() => set({ isSheetOpen: false })}>
                <Inspector {...settings} />
              </InspectorSheet>
            ) : null}
          </Box>
          <Later>{because}</Later>
          <Path
            momentCards={momentCards}
            transitions={transitions}
            chosen={moment}
            onChoose={choose}
            onEnter={firstText.focus}
            chosenTransition={transition?.id ?? null}
            onTransition={chooseAside}
            availability={availabilityRows(widget, state)}
            isAvailability={chosen.aside === 'availability'}
            onAvailability={toAvailability}
            onWhole={() => set({ isWhole: true })}
            onTry={trying.begin}
          />
        </>
      )}
      <ClashDialog clashes={draft.clashes} onChoose={saver.choose} />
      {publishing.dialog}
    </Box>
  );
}

const NO_FINDINGS: readonly Finding[] = [];
const NOTHING = { situations: [], place: 0 } as const;
