import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { decide } from '../../../core/decide/decide';
import { judgeOnPage, standsOnPage } from '../../../core/look/on-page';
import { judgePairs, judgedOf, shownSchemes } from '../../../core/look/pairs';
import { rewriteCss } from '../../../core/look/own-css';
import { paletteOf } from '../../../core/look/palette';
import type { Widget } from '../../../core/model/design';
import type { LauncherForm, Look } from '../../../core/model/look';
import { type Setting, type SettingId, settingValue } from '../../../core/model/settings';
import { STARTING_LOOKS } from '../../../core/model/starting-looks';
import type { PublishedSite } from '../../../core/wire/published-site';
import { SettingFields } from '../inspector/SettingFields';
import { placeWords } from '../../wording/place';
import { FORM_WORDS, LOOK_WORDS, STYLE_WORDS } from '../../wording/look';
import { BarFields } from './BarFields';
import { BrandField } from './BrandField';
import { ColourField } from './ColourField';
import { ColoursPart } from './ColoursPart';
import { Corners } from './Corners';
import { Coverings } from './Coverings';
import { Fold } from '../../parts/Fold';
import { LauncherFields } from './LauncherFields';
import type { LookPart } from './look-parts';
import { OwnCssField } from './OwnCssField';
import { PictureField } from './PictureField';
import { SchemeChoice, Shape } from './Shape';
import { StartingLooks } from './StartingLooks';
import { WindowSizes } from './WindowSizes';
import { useDesign } from '../state/DesignContext';
import { useCoverings } from './use-coverings';
import { type PageColours, usePageColours } from './use-page-colours';
import { useProposals } from './use-proposals';
import { LOOK_PANEL_WORDS } from '../../wording/screens/look-panel';
import { SHARED_WORDS } from '../../wording/screens/shared';

const SHAPE_SETTINGS: readonly SettingId[] = ['textSize', 'radius'];
const LAUNCHER_SETTINGS: readonly SettingId[] = ['launcherSize', 'wordsFrom', 'delay'];
const PLACE_SETTINGS: readonly SettingId[] = [
  'offset',
  'lift',
  'phoneOffset',
  'phoneLift',
  'windowWidth',
  'windowHeight',
  'layer',
];

/** Everything that holds everywhere: look, launcher and place. Each part says how it stands while it is closed. */
export function LookPanel() {
  const { design, rehearsed, chosen, acts, edits, pictures } = useDesign();
  const { widget, site, base } = rehearsed;
  const { scheme, lookParts: openParts } = chosen;
  const { setWidget: onWidget, setSetting: onSetting } = edits;
  const { look, launcher } = widget;
  const onLook = (next: Look, words: string): void => onWidget({ ...widget, look: next }, words);
  const proposals = useProposals(look.logo);
  const { desktop } = pictures.known.pictures;
  const page = usePageColours(desktop === undefined ? null : pictures.addressOf(desktop), widget);
  const coverings = useCoverings(site, base, widget.key, pictures.known.bars);
  const hard = useHard(look, launcher.form, page);
  const fold = (part: LookPart) => ({
    isOpen: openParts.includes(part),
    onOpen: (isOpen: boolean) =>
      acts.set({ lookParts: isOpen ? [...openParts, part] : openParts.filter((one) => one !== part) }),
  });
  const settings = (ids: readonly SettingId[]) => (
    <SettingFields
      key={widget.id}
      ids={ids}
      valueOf={(one) => settingValue(design, widget, one)}
      defaultOf={(one) => defaultOf(widget, one)}
      onChange={onSetting}
    />
  );
  return (
    <>
      <Typography variant="h2" sx={{ mb: 2 }}>
        {LOOK_PANEL_WORDS.lookAndPlace}
      </Typography>
      <BrandField
        key={widget.id}
        label={SHARED_WORDS.brandColour}
        value={look.brand}
        proposals={proposals}
        onChange={(brand) => onLook({ ...look, brand }, LOOK_PANEL_WORDS.brandColourEdit)}
      />
      <Box sx={{ mt: 2 }} />
      <Fold title={LOOK_PANEL_WORDS.startingLook} state={LOOK_WORDS[look.name].name} {...fold('looks')}>
        <StartingLooks site={site} base={base} widget={widget} scheme={scheme} onTake={onWidget} />
      </Fold>
      <Fold title={LOOK_PANEL_WORDS.colours} state={hard.words} isWrong={hard.count > 0} {...fold('colours')}>
        <ColoursPart look={look} form={launcher.form} page={page} onLook={onLook} />
      </Fold>
      <Fold title={LOOK_PANEL_WORDS.typeAndShape} state={shapeWords(look)} {...fold('shape')}>
        <SchemeChoice look={look} onLook={onLook} />
        <Box sx={{ mt: 1.5 }} />
        <Shape
          look={look}
          names={['font', 'headFont', 'weight', 'density', 'messages', 'faces', 'rule', 'opening']}
          onLook={onLook}
        />
        <Box sx={{ mt: 2 }} />
        {settings(SHAPE_SETTINGS)}
      </Fold>
      <Fold title={LOOK_PANEL_WORDS.logoAndHeader} state={picturesWords(look)} {...fold('pictures')}>
        <PictureField
          kind="logo"
          label={LOOK_PANEL_WORDS.logo}
          what={LOOK_PANEL_WORDS.logoHelp}
          value={look.logo}
          onChange={(picture) => onLook({ ...look, logo: picture === null ? null : refOf(picture) }, 'logo')}
        />
        <Shape look={look} names={['header']} onLook={onLook} />
        <Box sx={{ mt: 1.5 }} />
        {look.header === 'picture' ? (
          <PictureField
            kind="header"
            label={LOOK_PANEL_WORDS.headerPicture}
            what={LOOK_PANEL_WORDS.headerPictureHelp}
            value={look.headerPicture}
            onChange={(headerPicture) =>
              onLook({ ...look, headerPicture }, LOOK_PANEL_WORDS.headerPictureEdit)
            }
          />
        ) : (
          <HeaderTo look={look} onLook={onLook} />
        )}
      </Fold>
      <Fold
        title={LOOK_PANEL_WORDS.launcher}
        state={LOOK_PANEL_WORDS.sizeAndPlace(FORM_WORDS[launcher.form].name, launcher.size)}
        {...fold('launcher')}
      >
        <LauncherFields
          launcher={launcher}
          teams={teamKeys(site, widget)}
          siteAddress={pictures.known.siteAddress}
          shows={(address) =>
            decide(site, { ...base, page: { ...base.page, address } }).widget === widget.key
          }
          onLauncher={(next, words) => onWidget({ ...widget, launcher: next }, words)}
        />
        <Box sx={{ mt: 1.5 }} />
        <Shape look={look} names={['arrival']} onLook={onLook} />
        <Box sx={{ mt: 2 }} />
        {settings(LAUNCHER_SETTINGS)}
      </Fold>
      <Fold
        title={LOOK_PANEL_WORDS.place}
        state={coverings.length > 0 ? coveredWords(coverings.length) : placeWords(widget.place, false)}
        isWrong={coverings.length > 0}
        {...fold('place')}
      >
        <Coverings
          all={coverings}
          bars={pictures.known.bars}
          place={widget.place}
          onPlace={(place) => onWidget({ ...widget, place }, LOOK_PANEL_WORDS.clearOfBarsEdit)}
        />
        <Corners
          place={widget.place}
          onCorner={edits.setCorner}
          onPlace={(place) => onWidget({ ...widget, place }, LOOK_PANEL_WORDS.cornerOnPhonesEdit)}
        />
        <Box sx={{ mt: 2 }} />
        <BarFields acts={pictures} />
        <Box sx={{ mt: 2 }} />
        <WindowSizes
          place={widget.place}
          onPlace={(place) => onWidget({ ...widget, place }, LOOK_PANEL_WORDS.windowSizeEdit)}
        />
        <Box sx={{ mt: 2 }} />
        {settings(PLACE_SETTINGS)}
      </Fold>
      <Fold title={LOOK_PANEL_WORDS.ownCss} state={cssWords(look)} {...fold('css')}>
        <OwnCssField look={look} onLook={onLook} />
      </Fold>
    </>
  );
}

/** What the look that was taken has, where it has its own. */
function defaultOf({ look }: Widget, { id, defaultValue }: Setting): number | null {
  const { radius, textSize, size } = STARTING_LOOKS[look.name];
  const own: Partial<Record<SettingId, number>> = { radius, textSize, launcherSize: size };
  return own[id] ?? defaultValue;
}

/** Names of the teams that answer at a widget, as links name them. */
function teamKeys({ facts }: PublishedSite, { teams }: Widget): string[] {
  return teams.flatMap((id) => facts.teams[id]?.key ?? []);
}

function refOf({ once, twice, width, height }: NonNullable<Look['logo']>): NonNullable<Look['logo']> {
  return { once, twice, width, height };
}

/** How many pairs are hard to read, wherever visitors can see them, and what stands on the page. */
function useHard(
  look: Look,
  form: LauncherForm,
  page: PageColours | null,
): { readonly count: number; readonly words: string } {
  return useMemo(() => {
    const schemes = shownSchemes(look);
    const pairs = schemes.map((one) => judgePairs(judgedOf(look, one)));
    const onPage = standsOnPage(form).filter(
      (what) => !judgeOnPage(paletteOf(look, schemes[0] ?? 'day'), what, page?.[what] ?? ['#ffffff']).passes,
    );
    const count = pairs.flat().filter(({ passes }) => !passes).length + onPage.length;
    const all = pairs[0]?.length ?? 0;
    const when = schemes.length === 2 ? LOOK_PANEL_WORDS.lightAndDarkMark : '';
    const words = count === 0 ? LOOK_PANEL_WORDS.allReadable(all, when) : SHARED_WORDS.toFixCount(count);
    return { count, words };
  }, [look, form, page]);
}

function shapeWords({ font, textSize, radius, messages }: Look): string {
  return LOOK_PANEL_WORDS.shape(
    STYLE_WORDS.font.values[font] ?? font,
    textSize,
    STYLE_WORDS.messages.values[messages] ?? messages,
    radius,
  );
}

function picturesWords({ logo, header }: Look): string {
  return LOOK_PANEL_WORDS.pictures(logo !== null, STYLE_WORDS.header.values[header] ?? header);
}

function coveredWords(count: number): string {
  return count === 1 ? LOOK_PANEL_WORDS.coversOneBar : LOOK_PANEL_WORDS.coversBars(count);
}

function cssWords({ css }: Look): string {
  if (css.trim() === '') return LOOK_PANEL_WORDS.ownCssNone;
  const { dropped } = rewriteCss(css);
  return dropped.length === 0 ? LOOK_PANEL_WORDS.ownCssUsed : LOOK_PANEL_WORDS.leftOutCount(dropped.length);
}

/** The header in one colour, or running into a second one. */
function HeaderTo({
  look,
  onLook,
}: {
  readonly look: Look;
  readonly onLook: (look: Look, words: string) => void;
}) {
  if (look.headerTo === null)
    return (
      <Link
        component="button"
        type="button"
        variant="body2"
        onClick={() =>
          onLook(
            { ...look, headerTo: paletteOf(look, 'day').buttonPressed },
            LOOK_PANEL_WORDS.headerBlendEdit,
          )
        }
      >
        {LOOK_PANEL_WORDS.blendHeader}
      </Link>
    );
  return (
    <>
      <ColourField
        label={LOOK_PANEL_WORDS.headerBlendsInto}
        value={look.headerTo}
        onChange={(headerTo) => onLook({ ...look, headerTo }, LOOK_PANEL_WORDS.headerSecondColourEdit)}
      />
      <Link
        component="button"
        type="button"
        variant="body2"
        sx={{ mt: 0.5 }}
        onClick={() => onLook({ ...look, headerTo: null }, LOOK_PANEL_WORDS.headerOneColourEdit)}
      >
        {LOOK_PANEL_WORDS.backToOneColour}
      </Link>
    </>
  );
}
