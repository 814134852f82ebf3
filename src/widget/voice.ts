import type { Decision } from '../core/decide/decide';
import type { DesignFileV1, WireWidget } from '../core/wire/design-file';
import { type Values, say } from '../core/words/say';
import type { TextKey } from '../core/words/text-key';

/** Says a text by its key; the values of the decision's own line are used where there is one. */
export type Voice = (key: TextKey, values?: Values) => string;

/** The voice of a widget for one decision. `{siteName}` is always known. */
export function voiceOf(design: DesignFileV1, widget: WireWidget, decision: Decision, visit: 'first' | 'returning' | 'unknown'): Voice {
  const hearer = { state: decision.state, visit, locale: design.locale };
  return (key, values) => {
    const line = decision.lines.find((one) => one.key === key);
    return say(widget.words[key] ?? '', { siteName: design.siteName, ...line?.values, ...values }, hearer);
  };
}
