import { compileSite } from '../../../core/decide/compile-site';
import { decided } from '../../../core/rehearse/decided';
import type { Design, Widget } from '../../../core/model/design';
import { answererOf } from '../../../core/rehearse/samples';
import type { MinutesEast } from '../../../core/rehearse/reader-clock';
import type { PreviewState } from '../../../core/rehearse/preview-at';
import type { DrawnMoment } from '../../../core/model/moment';
import { alsoSaidAt } from '../../../core/words/also-said';
import { FIRST_TEXT } from '../../../core/words/cases';
import { TEXT_KEYS, entryOf } from '../../../core/words/catalogue';
import type { TextKey } from '../../../core/model/text-keys';
import { compileText } from '../../../core/words/compile';
import { readerOf } from '../../../core/decide/reader';
import { formatText } from '../../../core/words/format-text';
import {
  type WordingFault,
  type WordingKey,
  boundsOf,
  hasOursBeneath,
  pickedWording,
  wordingFault,
  wordingOf,
} from '../../../core/words/wordings';
import { wordingName } from '../../wording/cases';
import type { DesignEdits } from '../draft/design-edits';
import type { SaidKey, StageText } from './StageTexts';
import { STAGE_WORDS } from '../../wording/screens/stage';

interface StageTextsOptions {
  readonly design: Design;
  readonly widget: Widget;
  readonly locale: string;
  readonly previewState: PreviewState;
  readonly dir: 'ltr' | 'rtl';
  readonly edits: DesignEdits;
  /** The clock of the visitor who reads them. */
  readonly minutesEast: MinutesEast;
  nameOfTeam(id: string): string;
}

export interface MomentTexts extends StageText {
  /** The texts that stand at this moment and may have cases, the one it is known by first. */
  readonly cased: readonly TextKey[];
  /** Texts of the moment that do not stand there from the beginning. */
  readonly alsoSaid: readonly TextKey[];
}

/** The texts of the stage: which words stand there in these circumstances, and how to change them. */
export function stageTexts(
  moment: DrawnMoment,
  { design, widget, locale, previewState, dir, edits, minutesEast, nameOfTeam }: StageTextsOptions,
): MomentTexts {
  const decision = decided(previewState.site, previewState.circumstances);
  const { site, circumstances } = previewState;
  const live = compileSite(site).widget(decision.widget ?? widget.key) ?? site.design.widgets[0];
  if (live === undefined) throw new Error('Expected a design with a widget.');
  const hearer = readerOf({ site, widget: live, decision, circumstances }, minutesEast);
  const valuesOf = (key: TextKey) => decision.lines.find((one) => one.key === key)?.values ?? {};
  const wordingAt = (key: SaidKey): WordingKey =>
    isTextKey(key) ? pickedWording(design, widget, key, { ...hearer, locale }, valuesOf(key)) : key;
  const textOf = (key: WordingKey): string => wordingOf(design, widget, locale, key);
  // As it reads, with something in the place of every value.
  const sampled = (text: string, key: TextKey): string => {
    const compiled = compileText(text, entryOf(key).variables);
    const values = {
      ...SAMPLE_VALUES,
      responderName: answererOf(site).name,
      siteName: design.siteName,
      hours: Math.round(widget.timings.endsAfterQuiet / 3600),
      closingTime: circumstances.now,
      openingTime: circumstances.now,
    };
    return compiled.ok
      ? formatText(compiled.value, { ...values, ...valuesOf(key) }, { ...hearer, locale })
      : text;
  };
  const decidedKeys = decision.lines.flatMap(({ key }) => (isTextKey(key) ? [key] : []));
  const first = moment === 'invited' ? [] : [FIRST_TEXT[moment]];
  return {
    dir,
    wordingAt,
    textOf,
    nameOf: (key) => wordingName(widget, key, nameOfTeam),
    isOwn: (key) => hasOursBeneath(widget, locale, key),
    atMost: (key) => boundsOf(widget, key).atMost,
    faultOf: (key, text) => {
      const fault = wordingFault(design, widget, locale, key, text);
      return fault === null ? null : faultWords(fault, Object.keys(boundsOf(widget, key).variables));
    },
    change: (key, text, editId) => edits.setText(locale, key, text, editId),
    restoreDefaults: (key, editId) => edits.restoreDefaults(locale, key, editId),
    readsAs: (key) => (isTextKey(key) ? sampled(textOf(wordingAt(key)), key) : textOf(wordingAt(key))),
    cased: moment === 'invited' ? [] : [...new Set([...first, ...decidedKeys])],
    alsoSaid: alsoSaidAt(moment, widget).filter(
      (key) => key === 'launcher.name' || !decidedKeys.includes(key),
    ),
  };
}

const SAMPLE_VALUES = {
  count: 2,
  over: 3,
  left: 40,
  bound: 3,
  place: 2,
  email: 'visitor@example.org',
  promise: '5 min',
};

function isTextKey(key: string): key is TextKey {
  return (TEXT_KEYS as readonly string[]).includes(key);
}

function faultWords({ code, name }: WordingFault, known: readonly string[]): string {
  if (code === 'unknown-variable')
    return STAGE_WORDS.unknownName(name, known.map((one) => `{${one}}`).join(', '));
  if (code === 'wrong-type') return STAGE_WORDS.notANumber(name);
  if (code === 'needs-without') return STAGE_WORDS.notAlwaysKnown(name);
  if (code === 'empty-text') return STAGE_WORDS.invitationNeedsWords;
  if (code === 'not-offered') return STAGE_WORDS.cannotBeFormatted(name);
  return STAGE_WORDS.braceMissing;
}
