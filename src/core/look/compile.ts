import type { Launcher, Widget } from '../model/design';
import { type Font, type Icon, type Look, STYLE_NAMES } from '../model/look';
import type {
  OwnFont,
  Palette,
  WireFonts,
  WireIcon,
  WireLauncher,
  WirePicture,
  WireWidget,
} from '../wire/design-file';
import { PLAIN_STYLES } from '../model/starting-looks';
import { ICONS } from './icons';
import { rewriteCss } from './own-css';
import { channels } from './oklch';
import { type Colours, paletteOf } from './palette';
import { shadeOver } from './scrim';

type WireLook = Pick<
  WireWidget,
  'scheme' | 'palette' | 'measures' | 'style' | 'fonts' | 'logo' | 'headerPicture' | 'css'
>;

/** A look as pages get it: palettes as custom properties, choices as words of the style. */
export function toWireLook(look: Look): WireLook {
  const { scheme, radius, textSize, logo } = look;
  const picture = pictureOf(look);
  const style = styleOf(look);
  const fonts = toWireFonts(look);
  const { css } = rewriteCss(look.css);
  return {
    scheme,
    palette: {
      day: toWirePalette(look, paletteOf(look, 'day')),
      evening: toWirePalette(look, paletteOf(look, 'evening')),
    },
    measures: { radius, textSize },
    ...(style === '' ? {} : { style }),
    ...(fonts === null ? {} : { fonts }),
    ...(logo === null ? {} : { logo: toWirePicture(logo) }),
    ...(picture === null ? {} : { headerPicture: toWirePicture(picture) }),
    ...(css === '' ? {} : { css }),
  };
}

/** Fonts go as families, and a header without its picture is a plain one. */
const AS_WORDS = STYLE_NAMES.filter((name) => name !== 'font' && name !== 'headFont');

function styleOf(look: Look): string {
  const drawn = {
    ...look,
    header: look.header === 'picture' && look.headerPicture === null ? 'plain' : look.header,
  };
  return AS_WORDS.filter((name) => drawn[name] !== PLAIN_STYLES[name])
    .map((name) => `${name}-${drawn[name]}`)
    .join(' ');
}

function pictureOf({ header, headerPicture }: Look) {
  return header === 'picture' ? headerPicture : null;
}

/** Only letters, digits, commas and quotes: they are set as they are. */
const FAMILIES: Readonly<Record<Exclude<Font, 'page'>, string>> = {
  system: 'system-ui, sans-serif',
  mono: 'ui-monospace, monospace',
  figtree: '"Sunny Porch figtree", system-ui, sans-serif',
  literata: '"Sunny Porch literata", Georgia, serif',
  atkinson: '"Sunny Porch atkinson", system-ui, sans-serif',
  fraunces: '"Sunny Porch fraunces", Georgia, serif',
};
const SYSTEM: readonly Font[] = ['page', 'system', 'mono'];

function toWireFonts({ font, headFont }: Look): WireFonts | null {
  if (font === 'page' && headFont === 'page') return null;
  const load = [...new Set([font, headFont])].filter((one): one is OwnFont => !SYSTEM.includes(one));
  return {
    ...(font === 'page' ? {} : { text: FAMILIES[font] }),
    ...(headFont === 'page' ? {} : { head: FAMILIES[headFont] }),
    ...(load.length === 0 ? {} : { load }),
  };
}

/** A launcher as pages get it; what is usual is left out. */
export function toWireLauncher({
  form,
  size,
  wordsFrom,
  icon,
  closedIcon,
  delay,
  hiddenOn,
  element,
}: Launcher): WireLauncher {
  const icons = icon === null && closedIcon === null ? null : ([icon, closedIcon] as const);
  return {
    form,
    size,
    wordsFrom,
    ...(icons === null ? {} : { icons: toWireIcons(...icons) }),
    ...(delay === 0 ? {} : { delay }),
    ...(hiddenOn.length === 0 ? {} : { hiddenOn }),
    ...(form === 'own-element' && element !== null ? { element } : {}),
  };
}

/** An empty drawing stands for the lamp. */
function toWireIcons(usual: Icon | null, closed: Icon | null): NonNullable<WireLauncher['icons']> {
  const of = (icon: Icon | null): WireIcon => {
    if (icon === null) return '';
    return 'drawing' in icon ? ICONS[icon.drawing] : toWirePicture(icon.picture);
  };
  return closed === null ? [of(usual)] : [of(usual), of(closed)];
}

function toWirePicture({ once, twice, width, height }: NonNullable<Look['logo']>): WirePicture {
  return [once, twice, width, height];
}

/** The colours, and what fills the header where that is more than a colour. */
function toWirePalette(look: Look, colours: Colours): Palette {
  const picture = pictureOf(look);
  if (picture !== null) {
    const shade = `rgb(${channels(colours.header).join(' ')} / ${shadeOver(picture, colours.header, colours.onHeader)})`;
    return { ...colours, headerFill: `linear-gradient(${shade}, ${shade})` };
  }
  return look.headerTo === null
    ? colours
    : { ...colours, headerFill: `linear-gradient(90deg, ${colours.header}, ${look.headerTo})` };
}

/** A published widget dressed anew, everything else as it is. */
export function withLook(wire: WireWidget, { look, launcher }: Widget): WireWidget {
  const parts = Object.entries(wire).filter(([name]) => !OF_LOOK.has(name));
  return {
    ...(Object.fromEntries(parts) as WireWidget),
    ...toWireLook(look),
    launcher: toWireLauncher(launcher),
  };
}
const OF_LOOK: ReadonlySet<string> = new Set(['style', 'fonts', 'logo', 'headerPicture', 'css']);
