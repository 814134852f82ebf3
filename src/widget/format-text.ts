import { type PaintedText, readerOf } from '../core/decide/reader';
import type { Line } from '../core/decide/decision';
import { type Values, formatText } from '../core/words/format-text';
import type { Surroundings } from './surroundings';

const HOUR_SECONDS = 3600;

/** Says a text by its key; the values of the decision's own line are used where there is one. */
export type FormatText = (key: Line['key'], values?: Values) => string;

type ReaderClock = Pick<Surroundings, 'minutesEast'>;

/** The voice of a widget for one decision. `{siteName}` is always known, and `{hours}`, after which a silent conversation ends. */
export function formatTextFor(painted: PaintedText, { minutesEast }: ReaderClock): FormatText {
  const { site, widget, decision } = painted;
  const reader = readerOf(painted, minutesEast);
  return (key, values) => {
    const line = decision.lines.find((one) => one.key === key);
    return formatText(
      widget.words[key] ?? '',
      {
        siteName: site.design.siteName,
        hours: Math.round(widget.timings.endsAfterQuiet / HOUR_SECONDS),
        ...line?.values,
        ...values,
      },
      reader,
    );
  };
}
