import type { Covering } from '../../core/look/collisions';
import type { OnPage } from '../../core/look/on-page';
import type { Mend, Pair } from '../../core/look/pairs';
import type { Dropped } from '../../core/look/own-css';
import type { ColourFault, ReadColour } from '../../core/look/read-colour';
import type { Sight } from '../../core/look/deficiency';
import type { Visitor } from '../../core/model/circumstances';
import type { Launcher } from '../../core/model/design';
import type { WidgetState } from '../../core/model/moment';
import type { Colour, LauncherForm, LookName, StyleName } from '../../core/model/look';
import { STATE_WORDS } from './states';

/** The six starting looks, and what each is. */
export const LOOK_WORDS: Readonly<Record<LookName, { readonly name: string; readonly what: string }>> = {
  'front-door': { name: 'Front door', what: 'Warm paper, your colour above, an awning.' },
  whitewash: { name: 'Whitewash', what: 'White and quiet; your colour only on buttons and links.' },
  'night-light': { name: 'Night light', what: 'Always dark, with glowing visitor messages.' },
  letterbox: { name: 'Letterbox', what: 'Ivory and black, like letters.' },
  'garden-party': { name: 'Garden party', what: 'Large, round and cheerful; a second colour for buttons.' },
  workbench: { name: 'Workbench', what: 'Outlined and compact; messages have numbers.' },
};

/** Every colour by what it colours. */
export const COLOUR_WORDS: Readonly<Record<Colour, string>> = {
  launcher: 'Launcher',
  onLauncher: 'Mark and words on the launcher',
  launcherHover: 'Launcher under the pointer',
  launcherPressed: 'Launcher when pressed',
  ring: 'Ring around the launcher',
  lamp: 'Light of the lamp',
  header: 'Header',
  onHeader: 'Words in the header',
  ground: 'Ground of the window',
  field: 'Ground of fields',
  ink: 'Text',
  shade: 'Small text',
  rail: 'Separators',
  edge: 'Borders of fields',
  responder: 'Ground of your messages',
  onResponder: 'Text of your messages',
  visitor: 'Ground of visitors’ messages',
  onVisitor: 'Text of visitors’ messages',
  accent: 'Accent lines',
  link: 'Links',
  focus: 'Ring of the keyboard’s focus',
  button: 'Buttons',
  onButton: 'Words on buttons',
  buttonHover: 'Buttons under the pointer',
  buttonPressed: 'Buttons when pressed',
  error: 'Errors',
};

/** What there is to choose, in its words. */
export const STYLE_WORDS: Readonly<
  Record<StyleName, { readonly name: string; readonly values: Readonly<Record<string, string>> }>
> = {
  font: { name: 'Text', values: fontWords() },
  headFont: { name: 'Headings and names', values: fontWords() },
  weight: { name: 'Weight', values: { usual: 'usual', heavy: 'heavy' } },
  density: { name: 'Spacing', values: { compact: 'compact', usual: 'usual', roomy: 'roomy' } },
  header: { name: 'Header', values: { plain: 'plain', awning: 'with an awning', picture: 'over a picture' } },
  rule: {
    name: 'Lines',
    values: { none: 'none', hairline: 'a hairline', double: 'a double line', side: 'a bar at the side' },
  },
  messages: {
    name: 'Messages',
    values: {
      cards: 'cards',
      open: 'no bubbles for your messages',
      rounded: 'rounded',
      letters: 'like letters',
      numbered: 'outlined, with numbers',
    },
  },
  faces: { name: 'Faces', values: { square: 'square', round: 'round' } },
  arrival: {
    name: 'The launcher arrives',
    values: {
      none: 'at once',
      fade: 'fading in',
      slide: 'sliding in',
      brighten: 'growing bright once',
      sway: 'with one sway',
    },
  },
  opening: { name: 'The window opens', values: { none: 'at once', fade: 'fading in', rise: 'rising' } },
};

function fontWords(): Readonly<Record<string, string>> {
  return {
    page: 'same as your page',
    system: 'system font',
    figtree: 'Figtree',
    literata: 'Literata',
    atkinson: 'Atkinson Hyperlegible',
    fraunces: 'Fraunces',
    mono: 'monospace',
  };
}

export const SCHEME_WORDS: Readonly<Record<string, string>> = {
  visitor: 'same as the visitor’s device',
  day: 'always light',
  evening: 'always dark',
};

/** Forms of the launcher, and what each is. */
export const FORM_WORDS: Readonly<Record<LauncherForm, { readonly name: string; readonly what: string }>> = {
  lamp: { name: 'Lamp', what: 'A small square with the lamp; words where there is room.' },
  plaque: { name: 'Plaque', what: 'Lamp and words, always.' },
  'edge-tab': { name: 'Edge tab', what: 'Upright at the edge of the page.' },
  'picture-card': { name: 'Picture card', what: 'A card with your logo, words beside it.' },
  'own-element': { name: 'Your own', what: 'Something on your page opens the window.' },
  'bottom-bar': { name: 'Bottom bar', what: 'Along the bottom: full width on phones, 300 px elsewhere.' },
};

/** Marks of our own drawing. */
export const ICON_WORDS: Readonly<Record<string, string>> = {
  bell: 'bell',
  door: 'door',
  letter: 'letter',
  question: 'question mark',
  hand: 'hand',
  telescope: 'telescope',
};

const DEVICE_WORDS: Readonly<Record<string, string>> = {
  desktop: 'computers',
  tablet: 'tablets',
  phone: 'phones',
};

export function deviceWords(device: string): string {
  return DEVICE_WORDS[device] ?? device;
}

/** Why there is no launcher on a device, where the owner wants none; null: there is one. */
export function noLauncherWords({ form, hiddenOn }: Launcher, device: Visitor['device']): string | null {
  if (form === 'own-element') return 'No launcher here: an element on your page opens the window.';
  return hiddenOn.includes(device)
    ? `No launcher on ${deviceWords(device)}: only your own links open the window.`
    : null;
}

/** Devices that have no launcher. */
export function hiddenWords(devices: readonly string[]): string {
  return devices.length === 0 ? 'none' : devices.map(deviceWords).join(' and ');
}

/** The states in which the launcher has no words. */
export function noWordsWords(states: readonly WidgetState[]): string {
  return states.length === 0 ? 'never' : states.map((one) => STATE_WORDS[one]).join(', ');
}

export const SIGHT_WORDS: Readonly<Record<Sight, string>> = {
  green: 'without green (1 man in 16)',
  red: 'without red (1 man in 50)',
  blue: 'without blue (very rare)',
  none: 'without colours (very rare)',
};

/** Why a text is no colour, and what to do. */
export function colourFaultWords({ code, detail }: ColourFault): string {
  switch (code) {
    case 'empty':
      return 'Type or paste a colour, such as #1f6f6b.';
    case 'hex-digits':
      return `A colour with # has 3, 4, 6 or 8 digits; this one has ${detail}.`;
    case 'hex-sign':
      return `“${detail}” is not allowed in a colour: use 0 to 9 and a to f.`;
    case 'name':
      return `No colour is called “${detail}”. Try a name such as teal, or # and six digits.`;
    case 'name-like':
      return `No colour is called that. Did you mean ${detail}?`;
    case 'numbers':
      return `${detail}() needs three numbers: ${EXAMPLES[detail] ?? 'rgb(31 111 107)'}.`;
    case 'function':
      return `${detail}() does not work here. Use rgb(), hsl(), oklch(), # with digits, or a name.`;
    case 'gradient':
      return 'That is a gradient. Paste one of its colours; the header can blend into a second one.';
    case 'variable':
      return `${detail === '' ? 'That' : detail} is a variable that only your page knows. Paste the colour itself.`;
  }
}
const EXAMPLES: Readonly<Record<string, string>> = {
  rgb: 'rgb(31 111 107)',
  hsl: 'hsl(177 56% 28%)',
  oklch: 'oklch(0.5 0.08 190)',
};

/** What had to be done to a colour; null: nothing. */
export function colourNoteWords({ color, note }: ReadColour): string | null {
  if (note === 'see-through') return `It was see-through. On white it looks like ${color}.`;
  return note === 'out-of-reach'
    ? `Screens cannot show it. The closest colour they can show is ${color}.`
    : null;
}

/** Where two colours meet; what stands on its own ground is known by its name. */
export function pairWords({ text, ground }: Pair): string {
  const where = GROUND_WORDS[ground];
  return where === undefined || text === 'onResponder'
    ? COLOUR_WORDS[text]
    : `${COLOUR_WORDS[text]}, ${where}`;
}
const GROUND_WORDS: Readonly<Partial<Record<Colour, string>>> = {
  launcherHover: 'under the pointer',
  launcherPressed: 'when pressed',
  buttonHover: 'under the pointer',
  buttonPressed: 'when pressed',
  ground: 'in the window',
  field: 'in fields',
  responder: 'in your messages',
};

export const ON_PAGE_WORDS: Readonly<Record<OnPage, string>> = {
  launcher: 'The launcher on your page',
  invitation: 'An invitation on your page',
};

/** A contrast, and what it needs to be. Rounded down: 4.49 does not read as 4.5. */
export function ratioWords({
  ratio,
  needs,
  passes,
}: {
  readonly ratio: number;
  readonly needs: number;
  readonly passes: boolean;
}): string {
  const shown = (Math.floor(ratio * 10) / 10).toFixed(1);
  return passes ? `${shown}:1, enough (${needs}:1).` : `${shown}:1, too little; it needs ${needs}:1.`;
}

/** What a mend does, on its button. */
export function mendWords({ colour, to }: Mend): string {
  if (colour === 'ring') return `Add a ring: ${to}`;
  return colour === 'headerTo' ? `Blend the header into ${to}` : `${COLOUR_WORDS[colour]}: use ${to}`;
}

/** What lies over which bar, where, and by how much. */
export function coveringWords({ part, bar, screen, by }: Covering): string {
  return `${COVERING[part]} covers ${by} px of your ${bar} bar, ${SCREEN_WORDS[screen]}.`;
}
/** What can lie over a bar of the page. */
export const COVERING: Readonly<Record<Covering['part'], string>> = {
  launcher: 'The launcher',
  window: 'The window',
  invitation: 'An invitation',
};
/** The screens that are looked at. */
export const SCREEN_WORDS: Readonly<Record<Covering['screen'], string>> = {
  computer: 'on a computer (1280 × 800)',
  'large-text': 'with text at 200 %',
  phone: 'on a phone (390 × 844)',
  'small-phone': 'on a small phone (320 × 480)',
};

/** What of somebody's CSS visitors do not get, and why. */
export function droppedWords({ line, code, detail }: Dropped): string {
  return `Line ${line}: ${DROPPED[code](detail)}`;
}

const DROPPED: Readonly<Record<Dropped['code'], (detail: string) => string>> = {
  syntax: (detail) => `“${detail}” is not valid CSS.`,
  'at-rule': (detail) => `${detail}: only plain rules work here.`,
  selector: (detail) => `“${detail}” is not one of the parts below.`,
  nested: (detail) => `“${detail}” is inside another rule.`,
  property: (detail) => `${detail} is not allowed: your CSS cannot move, hide, cover or load things.`,
  value: (detail) => `“${detail}” has a value that is not allowed.`,
  size: (detail) => `“${detail}” is too large or too small.`,
  important: (detail) => `“${detail}”: “!important” is removed; your rule wins anyway.`,
  'too-many': (detail) => `only the first ${detail} rules.`,
};
