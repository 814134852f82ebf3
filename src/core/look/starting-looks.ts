import type { Widget } from '../model/design';
import { COLOURS, type LookName, STYLE_NAMES } from '../model/look';
import { STARTING_LOOKS } from '../model/starting-looks';
import { paletteOf } from './palette';

/** A widget with another starting look: its colours by hand go, the owner's brand colour, second colour, logo, pictures and CSS stay. */
export function withStartingLook(widget: Widget, name: LookName): Widget {
  const { styles, radius, textSize, scheme, form, size } = STARTING_LOOKS[name];
  const look = {
    ...widget.look,
    ...styles,
    name,
    radius,
    textSize,
    scheme,
    headerTo: null,
    own: { day: {}, evening: {} },
  };
  return { ...widget, look, launcher: { ...widget.launcher, form, size } };
}

/** Every value of a widget's look, as it comes out, by name: a colour counts once, by day and in the evening. */
export function lookValues({ look, launcher }: Widget): Readonly<Record<string, string>> {
  const [day, evening] = [paletteOf(look, 'day'), paletteOf(look, 'evening')];
  return Object.fromEntries<string>([
    ...COLOURS.map((name) => [name, `${day[name]} ${evening[name]}`] as const),
    ...STYLE_NAMES.map((name) => [`style-${name}`, look[name]] as const),
    ['headerTo', look.headerTo ?? ''],
    ['radius', String(look.radius)],
    ['textSize', String(look.textSize)],
    ['scheme', look.scheme],
    ['launcherForm', launcher.form],
    ['launcherSize', String(launcher.size)],
  ]);
}

/** How many of a widget's look values a starting look would change, of how many. */
export function changedBy(widget: Widget, name: LookName): { readonly changed: number; readonly of: number } {
  const [before, after] = [lookValues(widget), lookValues(withStartingLook(widget, name))];
  const names = Object.keys(before);
  return { changed: names.filter((one) => before[one] !== after[one]).length, of: names.length };
}
