import type { HexColor, Px } from './units';

/** Six starting looks; a look's name also says how its palette follows from the brand colour. */
export const LOOK_NAMES = [
  'front-door',
  'whitewash',
  'night-light',
  'letterbox',
  'garden-party',
  'workbench',
] as const;
export type LookName = (typeof LOOK_NAMES)[number];

export const SCHEMES = ['visitor', 'day', 'evening'] as const;
export type Scheme = 'day' | 'evening';

/** `page`: the page's own; `system`: the device's; `mono`: the device's with even widths; the rest come from us, once the window opens. */
export const FONTS = ['page', 'system', 'figtree', 'literata', 'atkinson', 'fraunces', 'mono'] as const;
export type Font = (typeof FONTS)[number];

export const WEIGHTS = ['usual', 'heavy'] as const;
export const DENSITIES = ['compact', 'usual', 'roomy'] as const;
export const HEADERS = ['plain', 'awning', 'picture'] as const;
export const RULES = ['none', 'hairline', 'double', 'side'] as const;
export const MESSAGES = ['cards', 'open', 'rounded', 'letters', 'numbered'] as const;
export const FACES = ['square', 'round'] as const;
export const ARRIVALS = ['none', 'fade', 'slide', 'brighten', 'sway'] as const;
export const OPENINGS = ['none', 'fade', 'rise'] as const;

/** What there is to choose of a look, and what from. Each value is a word of the widget's style (`data-style`). */
export const STYLES = {
  font: FONTS,
  headFont: FONTS,
  weight: WEIGHTS,
  density: DENSITIES,
  header: HEADERS,
  rule: RULES,
  messages: MESSAGES,
  faces: FACES,
  arrival: ARRIVALS,
  opening: OPENINGS,
} as const;
export type StyleName = keyof typeof STYLES;
export const STYLE_NAMES = Object.keys(STYLES) as readonly StyleName[];
export type Styles = {
  readonly font: Font;
  readonly headFont: Font;
  readonly weight: (typeof WEIGHTS)[number];
  readonly density: (typeof DENSITIES)[number];
  readonly header: (typeof HEADERS)[number];
  readonly rule: (typeof RULES)[number];
  readonly messages: (typeof MESSAGES)[number];
  readonly faces: (typeof FACES)[number];
  readonly arrival: (typeof ARRIVALS)[number];
  readonly opening: (typeof OPENINGS)[number];
};

/** Every colour of the widget, in the order in which they follow from one another. */
export const COLOURS = [
  'launcher',
  'onLauncher',
  'launcherHover',
  'launcherPressed',
  'ring',
  'lamp',
  'header',
  'onHeader',
  'ground',
  'field',
  'ink',
  'shade',
  'rail',
  'edge',
  'responder',
  'onResponder',
  'visitor',
  'onVisitor',
  'accent',
  'link',
  'focus',
  'button',
  'onButton',
  'buttonHover',
  'buttonPressed',
  'error',
] as const;
export type Colour = (typeof COLOURS)[number];
export type OwnColours = Readonly<Partial<Record<Colour, HexColor>>>;

/** A picture as the server drew it, in two sizes; the hashes are its names. */
export type PictureRef = {
  readonly once: string;
  readonly twice: string;
  /** Size at 1×. */
  readonly width: Px;
  readonly height: Px;
};

/** What lies behind the header's words; the bounds of its pixels, channel by channel, say whether they can be read there. */
export type HeaderPicture = PictureRef & {
  readonly darkest: HexColor;
  readonly lightest: HexColor;
};

export type Look = Styles & {
  readonly name: LookName;
  readonly brand: HexColor;
  /** A second colour of the owner's; null: derived where the look wants one. */
  readonly second: HexColor | null;
  /** The header runs into this colour; null: it is one colour. */
  readonly headerTo: HexColor | null;
  /** Colours set by hand; what is absent is derived. */
  readonly own: Readonly<Record<Scheme, OwnColours>>;
  readonly radius: Px;
  readonly textSize: Px;
  /** `visitor`: follows the visitor's wish where the page declares that it supports it. */
  readonly scheme: (typeof SCHEMES)[number];
  readonly logo: PictureRef | null;
  readonly headerPicture: HeaderPicture | null;
  /** The owner's own CSS for the widget, as typed; it is parsed and written anew before anybody gets it. */
  readonly css: string;
};

/** Marks of our own drawing (`icons.ts`). */
export const ICON_NAMES = ['bell', 'door', 'letter', 'question', 'hand', 'telescope'] as const;
/** A drawing that comes with the product, or a picture that was uploaded. */
export type Icon = { readonly drawing: (typeof ICON_NAMES)[number] } | { readonly picture: PictureRef };

/** Forms of the launcher; `own-element`: there is none, an element of the page opens the window. */
export const LAUNCHER_FORMS = [
  'lamp',
  'plaque',
  'edge-tab',
  'picture-card',
  'bottom-bar',
  'own-element',
] as const;
export type LauncherForm = (typeof LAUNCHER_FORMS)[number];
