'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useSearchParams } from 'next/navigation';
import { useEffect, useMemo, useRef, useState } from 'react';
import { tinykeys } from 'tinykeys';
import { differencesOf } from '../../core/draft/differences';
import { decide } from '../../core/decide/decide';
import { explain } from '../../core/decide/explain';
import type { Json } from '../../core/draft/patch';
import type { Design } from '../../core/model/design';
import { DRAWN_MOMENTS, type DrawnMoment } from '../../core/rehearse/stand-at';
import type { Overview } from '../../core/wire/desk';
import { isTyping } from '../frame/SiteFrame';
import { useSite } from '../frame/SiteContext';
import { HIDDEN } from '../theme/hidden';
import { changeSentence } from '../wording/changes';
import { STATE_WORDS, teamName } from '../wording/states';
import { Because } from './Because';
import { Circumstances, type With } from './Circumstances';
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
import { arrivingVisitor, stonesOf } from './stones';
import { stageTexts } from './stage-texts';
import type { ReasonLink } from '../wording/because';

interface DesignDeskProps {
  readonly saver: DraftSaver;
  readonly draft: DraftState;
  readonly overview: Overview;
}

/** The screen nobody else has: circumstances, stage, inspector, Because and path over one draft. */
export function DesignDesk({ saver, draft, overview }: DesignDeskProps) {
  const { siteName } = useSite();
  const params = useSearchParams();
  const { design } = draft;
  const [path, setPath] = useState(params.get('on') ?? '/');
  const [locale, setLocale] = useState(params.get('locale') ?? design.defaultLocale);
  const [who, setWho] = useState<With>('now');
  const [picked, setPicked] = useState<DrawnMoment | null>(() => DRAWN_MOMENTS.find((one) => one === params.get('moment')) ?? null);
  const [isPhoneStageOpen, setPhoneStageOpen] = useState(params.has('moment'));
  const [side, setSide] = useState<Side>(params.get('side') === 'everywhere' ? 'everywhere' : 'here');
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

  const widget = design.widgets[0];
  const teams = useMemo(
    () => Object.fromEntries(overview.teams.map(({ id, state }) => [id, who === 'now' ? state : who])),
    [overview.teams, who],
  );
  const made = useMemo(() => draftSite(design, locale, teams), [design, locale, teams]);
  const base = useMemo(() => arrivingVisitor(addressOf(path), overview.now), [path, overview.now]);
  const stones = useMemo(() => (made.ok && widget !== undefined ? stonesOf(made.value, widget, base) : []), [made, widget, base]);
  const moment =
    picked ?? stones.find(({ moment: one, outOfReach }) => one !== 'passing-by' && outOfReach === null)?.moment ?? 'at-the-door';
  const stone = stones.find((one) => one.moment === moment);
  const changes = useMemo(
    () =>
      overview.publishedDesign === null ? null : differencesOf(overview.publishedDesign as unknown as Json, design as unknown as Json),
    [overview.publishedDesign, design],
  );
  const edits = useMemo(() => designEdits(saver), [saver]);
  if (widget === undefined || !made.ok || stone === undefined)
    return (
      <Alert severity="error">
        The draft cannot be drawn: {made.ok ? 'it has no widget' : `a text cannot be read (${made.errors[0]?.key})`}. Undo the last change.
      </Alert>
    );

  const { standpoint } = stone;
  const verdicts = explain(made.value, stone.outOfReach === null ? standpoint.circumstances : base);
  const ownTeam = overview.teams.find(({ id }) => widget.teams.includes(id));
  const teamWords = teamName(ownTeam);
  const chosenDistance = distance ?? (moment === 'passing-by' ? 'whole' : 'near');
  const texts = stageTexts({ design, widget, locale, standpoint, dir: stone.dir, edits });
  const choose = (next: DrawnMoment): void => {
    setPicked(next);
    setDistance(null);
    setSide('here');
    setPhoneStageOpen(true);
  };
  const follow = (link: ReasonLink): void => {
    setBecauseOpen(false);
    if (link === 'with') setWho(who === 'in' ? 'nobody' : 'in');
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
      widget={widget}
      alsoSaid={texts.alsoSaid(moment, (state) => setWho(state))}
      outOfReach={stone.outOfReach}
      onBrand={edits.setBrand}
      onCorner={edits.setCorner}
    />
  );
  const stage = (
    <Stage
      standpoint={standpoint}
      corner={mirrored(widget.place.corner, stone.dir)}
      brand={widget.look.brand}
      path={path}
      distance={chosenDistance}
      onNear={() => setDistance('near')}
      texts={texts}
      firstTextRef={firstText}
    >
      <Signposts
        moment={moment}
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
      widgetName={widget.name}
      path={path}
      onPath={setPath}
      locale={locale}
      locales={design.locales}
      onLocale={setLocale}
      teamName={teamWords}
      withNow={STATE_WORDS[ownTeam?.state ?? 'nobody'].toLowerCase()}
      who={who}
      onWho={setWho}
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
            chosen={moment}
            onChoose={choose}
            onEnter={() => firstText.current?.focus()}
            gate={gateRows(widget, decide(made.value, base).state)}
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

/** A path stands for a page of a site whose name does not matter here; a whole address is taken as it is. */
function addressOf(path: string): string {
  return /^https?:\/\//i.test(path) ? path : `https://your-site.example${path.startsWith('/') ? '' : '/'}${path}`;
}

/** [T9] Right-to-left mirrors the corner. */
function mirrored(corner: Design['widgets'][number]['place']['corner'], dir: 'ltr' | 'rtl') {
  if (dir === 'ltr') return corner;
  return (corner.endsWith('right') ? corner.replace('right', 'left') : corner.replace('left', 'right')) as typeof corner;
}
