import type { Json } from '../../core/model/json';
import type { WidgetState } from '../../core/model/moment';
import { type HeaderPicture, type Icon, STYLES, type StyleName } from '../../core/model/look';
import type { LauncherValue, LookValue } from '../../core/publish/describe-design';
import { plain } from './plain';
import {
  FORM_WORDS,
  ICON_WORDS,
  LOOK_WORDS,
  SCHEME_WORDS,
  STYLE_WORDS,
  hiddenWords,
  noWordsWords,
} from './look';

const LAUNCHER_VALUES: Readonly<Record<LauncherValue, string>> = {
  form: 'Launcher',
  icon: 'Launcher icon',
  closedIcon: 'Icon while nobody can answer',
  hiddenOn: 'No launcher on',
  noWordsIn: 'No words on the launcher while',
  element: 'Element on your page that opens the window',
};

/** What of a launcher has changed. */
export function launcherPartName(part: LauncherValue): string {
  return LAUNCHER_VALUES[part];
}

/** One side of a change of the launcher. */
export function launcherPartWords(part: LauncherValue, value: Json): string {
  switch (part) {
    case 'form':
      return nameIn(FORM_WORDS, value).toLowerCase();
    case 'icon':
    case 'closedIcon':
      return iconWords(value as Icon | null, part === 'icon' ? 'the lamp' : 'the same');
    case 'hiddenOn':
      return hiddenWords(value as readonly string[]);
    case 'noWordsIn':
      return noWordsWords((value ?? []) as readonly WidgetState[]);
    case 'element':
      return value === null ? 'none' : `“${plain(value)}”`;
  }
}

function iconWords(icon: Icon | null, otherwise: string): string {
  if (icon === null) return otherwise;
  return 'drawing' in icon ? (ICON_WORDS[icon.drawing] ?? icon.drawing) : pictureWords(icon.picture);
}

/** What of a look has changed. */
export function lookPartName(part: LookValue): string {
  if (isStyleName(part)) return STYLE_WORDS[part].name;
  return {
    name: 'Look',
    brand: 'Brand colour',
    second: 'Second colour',
    headerTo: 'Header blends into',
    scheme: 'Light or dark',
    logo: 'Logo',
    headerPicture: 'Header picture',
    css: 'Your own CSS',
  }[part];
}

/** One side of a change of a look. */
export function lookPartWords(part: LookValue, value: Json): string {
  if (isStyleName(part)) return STYLE_WORDS[part].values[plain(value)] ?? plain(value);
  switch (part) {
    case 'name':
      return nameIn(LOOK_WORDS, value);
    case 'scheme':
      return SCHEME_WORDS[plain(value)] ?? plain(value);
    case 'logo':
    case 'headerPicture':
      return pictureWords(value);
    case 'css':
      return value === '' ? 'none' : `“${plain(value)}”`;
    case 'brand':
    case 'second':
    case 'headerTo':
      return value === null ? 'none' : plain(value);
  }
}

function nameIn(words: Readonly<Record<string, { readonly name: string }>>, value: Json | undefined): string {
  return words[plain(value)]?.name ?? plain(value);
}

function pictureWords(value: Json): string {
  if (value === null) return 'none';
  const { once, twice, width, height, darkest = '', lightest = '' } = value as Partial<HeaderPicture>;
  const pixels = darkest === '' ? '' : `, ${darkest} to ${lightest}`;
  return `a picture, ${width} × ${height} px${pixels} (${once?.slice(-6)}, ${twice?.slice(-6)})`;
}

function isStyleName(part: LookValue): part is StyleName {
  return Object.hasOwn(STYLES, part);
}
