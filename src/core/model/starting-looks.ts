import type { LauncherForm, Look, LookName, Styles } from './look';
import type { HexColor, Px } from './units';

/** What a starting look sets, besides its palette: type, shape, launcher and motion. */
export interface StartingLook {
  readonly styles: Styles;
  readonly radius: Px;
  readonly textSize: Px;
  readonly scheme: 'visitor' | 'evening';
  readonly form: LauncherForm;
  readonly size: Px;
}

/** What the widget's sheets draw where nothing else is asked for. */
export const PLAIN_STYLES: Styles = {
  font: 'page',
  headFont: 'page',
  weight: 'usual',
  density: 'usual',
  header: 'plain',
  rule: 'none',
  messages: 'cards',
  faces: 'square',
  arrival: 'fade',
  opening: 'rise',
};

/** The six looks, each good at once with any brand colour. */
export const STARTING_LOOKS: Readonly<Record<LookName, StartingLook>> = {
  'front-door': {
    styles: { ...PLAIN_STYLES, header: 'awning' },
    radius: 12,
    textSize: 15,
    scheme: 'visitor',
    form: 'lamp',
    size: 56,
  },
  whitewash: {
    styles: {
      ...PLAIN_STYLES,
      font: 'system',
      headFont: 'system',
      density: 'roomy',
      rule: 'hairline',
      messages: 'open',
      arrival: 'none',
      opening: 'none',
    },
    radius: 6,
    textSize: 15,
    scheme: 'visitor',
    form: 'plaque',
    size: 48,
  },
  'night-light': {
    styles: {
      ...PLAIN_STYLES,
      font: 'figtree',
      headFont: 'figtree',
      messages: 'rounded',
      faces: 'round',
      arrival: 'brighten',
      opening: 'fade',
    },
    radius: 18,
    textSize: 15,
    scheme: 'evening',
    form: 'lamp',
    size: 64,
  },
  letterbox: {
    styles: {
      ...PLAIN_STYLES,
      headFont: 'fraunces',
      rule: 'double',
      messages: 'letters',
      arrival: 'slide',
      opening: 'fade',
    },
    radius: 2,
    textSize: 15,
    scheme: 'visitor',
    form: 'edge-tab',
    size: 48,
  },
  'garden-party': {
    styles: {
      ...PLAIN_STYLES,
      font: 'figtree',
      headFont: 'figtree',
      weight: 'heavy',
      header: 'picture',
      messages: 'rounded',
      faces: 'round',
      arrival: 'sway',
    },
    radius: 22,
    textSize: 17,
    scheme: 'visitor',
    form: 'picture-card',
    size: 64,
  },
  workbench: {
    styles: {
      ...PLAIN_STYLES,
      font: 'system',
      headFont: 'mono',
      density: 'compact',
      rule: 'side',
      messages: 'numbered',
      arrival: 'none',
      opening: 'none',
    },
    radius: 0,
    textSize: 14,
    scheme: 'visitor',
    form: 'bottom-bar',
    size: 44,
  },
};

/** The look of a new widget: Front door, in the brand colour. */
export function defaultLook(brand: HexColor): Look {
  const { styles, radius, textSize, scheme } = STARTING_LOOKS['front-door'];
  const none = {
    second: null,
    headerTo: null,
    own: { day: {}, evening: {} },
    logo: null,
    headerPicture: null,
    css: '',
  };
  return { name: 'front-door', brand, ...none, ...styles, radius, textSize, scheme };
}
