'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useSearchParams } from 'next/navigation';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { tinykeys } from 'tinykeys';
import { differencesOf } from '../../core/draft/differences';
import { decide } from '../../core/decide/decide';
import { explain } from '../../core/decide/explain';
import { zoneOf } from '../../core/decide/hours-now';
import type { Json } from '../../core/draft/patch';
import type { Design } from '../../core/model/design';
import { pageShowing } from '../../core/rehearse/page-showing';
import { DRAWN_MOMENTS, type DrawnMoment } from '../../core/rehearse/stand-at';
import { situationsOf, supposedSite, supposedVisitor } from '../../core/rehearse/suppose';
import type { Overview } from '../../core/wire/desk';
import { isTyping } from '../frame/SiteFrame';
import { useSite } from '../frame/SiteContext';
import { HIDDEN } from '../theme/hidden';
import { changeSentence } from '../wording/changes';
import { teamName } from '../wording/states';
import { Because } from './Because';
import { Circumstances } from './Circumstances';
import type { DraftSaver, DraftState } from './draft-saver';
import { DraftBar } from './DraftBar';
import { draftSite } from './draft-site';
import { designEdits } from './design-edits';
import { gateRows } from './gate-rows';
import { Inspector, type Side } from './Inspector';
import { Path } from './Path';
import { PhonePath } from './PhonePath';
import { PublishDialog } from './PublishDialog';
import { Signposts } from './Signposts';
import { Stage } from './Stage';
import { stonesOf } from './stones';
import { useNear } from './use-near';
import { useSupposed } from './use-supposed';
import { waysOf } from './ways';
import { stageTexts } from './stage-texts';
import type { ReasonLink } from '../wording/because';

interface DesignDeskProps {
  readonly saver: DraftSaver;
  readonly draft: DraftState;
  readonly overview: Overview;
}

/** The screen nobody else has: circumstances, stage, inspector, Because and path over one draft. */
export function DesignDesk({ saver, draft, overview }: DesignDeskProps) {
  const { siteName, zone } = useSite();
  const params = useSearchParams();
  const { design } = draft;
  const [supposed, suppose] = useSupposed(design);
  const { page, locale } = supposed;
  const [picked, setPicked] = useState<DrawnMoment | null>(() => DRAWN_MOMENTS.find((one) => one === params.get('moment')) ?? null);
  const [isPhoneStageOpen, setPhoneStageOpen] = useState(params.has('moment'));
  const [side, setSide] = useState<Side>(params.get('side') === 'everywhere' ? 'everywhere' : 'here');
  const [isGate, setGate] = useState(params.get('moment') === 'gate');
  const [distance, setDistance] = useState<'near' | 'whole' | null>(null);
  const [isBecauseOpen, setBecauseOpen] = useState(false);
  const [isPublishing, setPublishing] = useState(false);
  const firstText = useRef<HTMLButtonElement>(null);
  const isPhone = useMediaQuery('(max-width: 899.5px)', { noSsr: true });

  useEffect(
    () =>
      tinykeys(window, {
        '$mod+z': (event) => guardKey(event, () => saver.step('undo')),
        '$mod+Shift+Z': (event) => guardKey(event, () => saver.step('redo')),
        b: (event) => guardKey(event, () => setBecauseOpen(true)),
      }),
    [saver],
  );

  const made = useMemo(() => draftSite(design, locale, overview), [design, locale, overview]);
  const asItIs = made.ok ? made.value : null;
  const site = useMemo(() => (asItIs === null ? null : supposedSite(asItIs, supposed)), [asItIs, supposed]);
  const base = useMemo(() => supposedVisitor(supposed, overview.now), [supposed, overview.now]);
  const shown = site === null ? null : decide(site, base).widget;
  const place = Math.max(
    0,
    design.widgets.findIndex(({ key }) => key === shown),
  );
  const widget = design.widgets[place];
  // The search may follow a little later; what stands on the stones may not.
  const near = useNear(site, base);
  const stones = useMemo(
    () => (site !== null && widget !== undefined ? stonesOf(site, widget, base, near) : []),
    [site, widget, base, near],
  );
  const situations = useMemo(
    () =>
      asItIs === null
        ? []
        : situationsOf(asItIs, widget?.calendarId ?? null, { page, locale: design.defaultLocale, locales: design.locales }, overview.now),
    [asItIs, widget?.calendarId, page, design.defaultLocale, design.locales, overview.now],
  );
  const situation = situations.findIndex((one) => JSON.stringify(one.supposed) === JSON.stringify(supposed));
  useEffect(() => {
    const flip = (by: number): void => {
      const from = situation < 0 && by < 0 ? situations.length : situation;
      const next = situations[(from + by + situations.length) % situations.length];
      if (next !== undefined) suppose(next.supposed);
    };
    return tinykeys(window, {
      '[': (event) => guardKey(event, () => flip(-1)),
      ']': (event) => guardKey(event, () => flip(1)),
    });
  }, [situations, situation, suppose]);
  const moment =
    picked ?? stones.find(({ moment: one, outOfReach }) => one !== 'passing-by' && outOfReach === null)?.moment ?? 'at-the-door';
  const stone = stones.find((one) => one.moment === moment);
  const changes = useMemo(
    () =>
      overview.publishedDesign === null ? null : differencesOf(overview.publishedDesign as unknown as Json, design as unknown as Json),
    [overview.publishedDesign, design],
  );
  const edits = useMemo(() => designEdits(saver, place), [saver, place]);
  const nameOf = useCallback((id: string) => teamName(overview.teams.find((team) => team.id === id)), [overview.teams]);
  const ways = useMemo(
    () => (widget === undefined ? [] : waysOf(design, widget, nameOf, near?.invitation ?? null)),
    [design, widget, nameOf, near?.invitation],
  );
  if (widget === undefined || !made.ok || site === null || stone === undefined)
    return (
      <Alert severity="error">
        The draft cannot be drawn: {made.ok ? 'it has no widget' : `a text cannot be read (${made.errors[0]?.key})`}. Undo the last change.
      </Alert>
    );

  const { standpoint } = stone;
  const verdicts = explain(site, stone.outOfReach === null ? standpoint.circumstances : base);
  const stateNow = decide(site, base).state;
  const ownTeam = overview.teams.find(({ id }) => widget.teams.includes(id));
  const teamWords = teamName(ownTeam);
  const chosenDistance = distance ?? (moment === 'passing-by' ? 'whole' : 'near');
  const texts = stageTexts({ design, widget, locale, standpoint, dir: stone.dir, edits });
  const choose = (next: DrawnMoment): void => {
    setPicked(next);
    setGate(false);
    setDistance(null);
    setSide('here');
    setPhoneStageOpen(true);
  };
  const follow = (link: ReasonLink): void => {
    setBecauseOpen(false);
    if (link === 'with') suppose({ who: supposed.who === 'in' ? 'nobody' : 'in' });
    else
      document
        .querySelector<HTMLElement>(link === 'where' || link === 'pages' ? '[aria-label^="On the page"]' : '#side-everywhere')
        ?.click();
  };
  const bar = (
    <DraftBar
      draft={draft}
      saver={saver}
      changeCount={changes === null ? null : changes.length}
      nextVersion={(overview.version ?? 0) + 1}
      onPublish={() => setPublishing(true)}
    />
  );
  const inspector = (
    <Inspector
      side={side}
      onSide={setSide}
      moment={moment}
      design={design}
      isGate={isGate}
      stateNow={stateNow}
      widget={widget}
      alsoSaid={texts.alsoSaid(moment, (who) => suppose({ who }))}
      outOfReach={stone.outOfReach}
      onBrand={edits.setBrand}
      onCorner={edits.setCorner}
      onSetting={edits.setSetting}
      onDeed={edits.setDeed}
    />
  );
  const stage = (
    <Stage
      standpoint={standpoint}
      corner={mirrored(widget.place.corner, stone.dir)}
      brand={widget.look.brand}
      path={page}
      device={supposed.device}
      distance={chosenDistance}
      onNear={() => setDistance('near')}
      texts={texts}
      firstTextRef={firstText}
    >
      <Signposts
        moment={moment}
        ways={ways}
        distance={chosenDistance}
        onDistance={setDistance}
        onChoose={choose}
        isPhone={isPhone}
        corner={mirrored(widget.place.corner, stone.dir)}
      />
    </Stage>
  );
  const circumstances = (
    <Circumstances
      supposed={supposed}
      onSuppose={suppose}
      widgets={design.widgets.map(({ key, name }) => [key, name] as const)}
      shown={shown}
      onWidget={(key) => {
        const wanted = design.widgets.find((one) => one.key === key);
        const there = wanted === undefined ? null : pageShowing(site, wanted, supposed, overview.now);
        if (there !== null) suppose({ page: there });
      }}
      locales={design.locales}
      now={overview.now}
      zone={zoneOf(site, site.facts.zone)}
      zoneName={zone}
      teamName={teamWords}
      teamState={ownTeam?.state ?? 'nobody'}
      situations={situations}
      situation={situation}
      onSituation={(index) => suppose(situations[index]?.supposed ?? {})}
    >
      {bar}
    </Circumstances>
  );
  const because = (
    <Because
      verdicts={verdicts}
      context={{ teamName: teamWords, widgetName: (key) => design.widgets.find((one) => one.key === key)?.name ?? key }}
      onLink={follow}
      isOpen={isBecauseOpen}
      onOpen={setBecauseOpen}
    />
  );
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', height: { xs: 'auto', md: 'calc(100vh - 48px)' }, minHeight: 0 }}>
      <Box component="h1" sx={HIDDEN}>
        Design of {siteName}
      </Box>
      {circumstances}
      {isPhone ? (
        <>
          {because}
          <PhonePath
            stones={stones}
            ways={ways}
            chosen={isPhoneStageOpen ? moment : null}
            onChoose={choose}
            onBack={() => setPhoneStageOpen(false)}
            stage={stage}
            inspector={inspector}
          />
        </>
      ) : (
        <>
          <Box sx={{ display: 'grid', gridTemplateColumns: { md: '1fr 280px', lg: '1fr 336px' }, flex: 1, minHeight: 0 }}>
            <Box sx={{ display: 'flex', minWidth: 0, minHeight: 0 }}>{stage}</Box>
            {inspector}
          </Box>
          {because}
          <Path
            stones={stones}
            ways={ways}
            chosen={moment}
            onChoose={choose}
            onEnter={() => firstText.current?.focus()}
            gate={gateRows(widget, stateNow)}
            isGate={isGate}
            onGate={() => {
              setGate(true);
              setSide('here');
            }}
          />
        </>
      )}
      <PublishDialog
        isOpen={isPublishing}
        onClose={() => setPublishing(false)}
        revision={draft.revision}
        changes={changes === null ? null : changes.map((one) => changeSentence(one, design))}
        nextVersion={(overview.version ?? 0) + 1}
      />
    </Box>
  );
}

function guardKey(event: KeyboardEvent, act: () => void): void {
  if (isTyping(event)) return;
  event.preventDefault();
  act();
}

/** [T9] Right-to-left mirrors the corner. */
function mirrored(corner: Design['widgets'][number]['place']['corner'], dir: 'ltr' | 'rtl') {
  if (dir === 'ltr') return corner;
  return (corner.endsWith('right') ? corner.replace('right', 'left') : corner.replace('left', 'right')) as typeof corner;
}
