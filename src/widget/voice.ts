import { type Heard, hearerOf } from '../core/words/hearer';
import type { Line } from '../core/words/lines';
import { type Values, say } from '../core/words/say';

/** Says a text by its key; the values of the decision's own line are used where there is one. */
export type Voice = (key: Line['key'], values?: Values) => string;

/** The voice of a widget for one decision. `{siteName}` is always known. */
export function voiceOf(heard: Heard): Voice {
  const { site, widget, decision, circumstances } = heard;
  const hearer = hearerOf(heard, -new Date(circumstances.now).getTimezoneOffset());
  return (key, values) => {
    const line = decision.lines.find((one) => one.key === key);
    return say(
      widget.words[key] ?? '',
      { siteName: site.design.siteName, ...line?.values, ...values },
      hearer,
    );
  };
}
