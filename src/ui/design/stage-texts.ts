import { decide } from '../../core/decide/decide';
import type { Design, Widget } from '../../core/model/design';
import type { DrawnMoment, Standpoint } from '../../core/rehearse/stand-at';
import { type CaseKey, type TextKey, entryOf, isCaseKey, textKeyOf } from '../../core/words/catalogue';
import { caseKeyOf } from '../../core/words/case-of';
import { compileText } from '../../core/words/compile';
import { hearerOf } from '../../core/words/hearer';
import { isOwnText, textOf } from '../../core/words/texts-of';
import type { DesignEdits } from './design-edits';
import type { StageText } from './StageTexts';

interface StageTextsOptions {
  readonly design: Design;
  readonly widget: Widget;
  readonly locale: string;
  readonly standpoint: Standpoint;
  readonly dir: 'ltr' | 'rtl';
  readonly edits: DesignEdits;
}

export interface MomentTexts extends StageText {
  /** Texts of a moment that other states say instead of what is seen; `show` makes the stage say them. */
  alsoSaid(moment: DrawnMoment, suppose: (who: 'in' | 'nobody') => void): { key: CaseKey; text: string; show: () => void }[];
}

/** The texts of the stage: which words stand there in these circumstances, and how to change them. */
export function stageTexts({ design, widget, locale, standpoint, dir, edits }: StageTextsOptions): MomentTexts {
  const decision = decide(standpoint.site, standpoint.circumstances);
  const { site, circumstances } = standpoint;
  const live = site.design.widgets.find(({ key }) => key === (decision.widget ?? widget.key)) ?? site.design.widgets[0];
  if (live === undefined) throw new Error('Expected a design with a widget.');
  const hearer = hearerOf({ site, widget: live, decision, circumstances }, -new Date(circumstances.now).getTimezoneOffset());
  const valuesOf = (key: TextKey) => decision.lines.find((one) => one.key === key)?.values ?? {};
  const current = (key: TextKey): CaseKey => caseKeyOf(key, hearer, valuesOf(key));
  return {
    dir,
    caseKeyOf: current,
    textOf: (key) => textOf(design, widget, locale, key),
    isOwn: (key) => isOwnText(widget, locale, key),
    faultOf: (key, text) => {
      const compiled = compileText(text, entryOf(textKeyOf(key)).variables);
      return compiled.ok ? null : faultWords(compiled.errors.code, compiled.errors.name, Object.keys(entryOf(textKeyOf(key)).variables));
    },
    change: (key, text) => edits.setText(locale, key, text),
    backToOurs: (key) => edits.backToOurs(locale, key),
    alsoSaid: (moment, suppose) =>
      SEEN[moment].flatMap((key) =>
        ['', ...entryOf(key).cases.map(({ id }) => `#${id}`)]
          .map((suffix) => `${key}${suffix}`)
          .filter((one): one is CaseKey => isCaseKey(one) && one !== current(key) && REACHABLE.test(one))
          .map((one) => ({
            key: one,
            text: textOf(design, widget, locale, one),
            show: () => suppose(one.includes('#') ? 'in' : 'nobody'),
          })),
      ),
  };
}

/** Texts with cases that stand at each moment. */
const SEEN: Readonly<Record<DrawnMoment, readonly TextKey[]>> = {
  'passing-by': ['launcher.words'],
  invited: [],
  'slow-reply': [],
  'at-the-door': [],
  waiting: [],
  talking: [],
  goodbye: [],
  'nobody-home': [],
  'note-left': [],
};

/** Cases that presence in its first form can bring about. */
const REACHABLE = /^[^#]+$|#(in|somebody)$/;

function faultWords(code: string, name: string, known: readonly string[]): string {
  if (code === 'unknown-variable')
    return `{${name}} is not known here. Known: ${known.map((one) => `{${one}}`).join(', ')}. Not saved yet.`;
  if (code === 'wrong-type') return `{${name}} is not a number. Not saved yet.`;
  return 'A brace { or } is without its other half. Not saved yet.';
}
