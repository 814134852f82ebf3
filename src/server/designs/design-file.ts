import { completed } from '../../core/model/complete';
import { withTodaysNames } from '../../core/model/earlier-names';
import type { Design } from '../../core/model/design';
import { type FieldErrors, type Result, fail, ok } from '../../core/result';
import { publish } from '../../core/publish/publish';
import type { DesignFileAnswer } from '../../core/wire/desk';
import { type DesignTextFault, placedFaults, readDesignText } from '../../formats/design/design-text';
import { wordsOfFault } from './design-file-words';
import { DesignInput } from '../input/design.input';
import { parseInput } from '../input/parse-input';

/**
 * Judges a design that came as a file as strictly as one that is drawn here, and whether it could be published. Nothing
 * is stored; every fault is told at its line.
 */
export function judgeDesignFile(text: string): Result<Design, DesignFileAnswer['faults']> {
  const judged = judge(text);
  return judged.ok ? judged : fail(judged.errors.map(inWords));
}

function inWords(fault: DesignTextFault): DesignFileAnswer['faults'][number] {
  const { line, column, path } = fault;
  return { line, column, path, sentence: wordsOfFault(fault) };
}

function judge(text: string): Result<Design, readonly DesignTextFault[]> {
  const read = readDesignText(text);
  if (!read.ok) return read;
  const judged = parseInput(DesignInput, asToday(read.value));
  if (!judged.ok) return fail(placedFaults(text, plainly(judged.errors)));
  const errors = languageFaults(judged.value);
  return Object.keys(errors).length > 0 ? fail(placedFaults(text, errors, false)) : ok(judged.value);
}

/** What the judge says of a name that it does not know, as an owner would put it. */
function plainly(errors: FieldErrors): FieldErrors {
  const said = Object.entries(errors).map(([path, sentence]) => [
    path,
    sentence.endsWith('should not exist') ? 'Nothing in a design is called so.' : sentence,
  ]);
  return Object.fromEntries(said) as FieldErrors;
}

/** A file that an earlier program wrote lacks what did not exist then; what is no design at all is judged as it is. */
function asToday(value: unknown): unknown {
  try {
    return completed(withTodaysNames(value) as Design);
  } catch {
    return value; // no design at all: judged, and refused in a sentence, as it came
  }
}

/** What can only be judged of the whole: languages that lead nowhere, texts that cannot be said. */
function languageFaults(design: Design): FieldErrors {
  if (!design.locales.includes(design.defaultLocale))
    return { defaultLocale: `“${design.defaultLocale}” is not one of the languages of this design.` };
  const errors: Record<string, string> = {};
  for (const locale of design.locales) {
    const made = publish(design, 0, locale);
    for (const { widget, locale: of, key, code, at } of made.ok ? [] : made.errors) {
      const place = design.widgets.findIndex((one) => one.key === widget);
      errors[`widgets.${place}.texts.${of}.${key}`] ??=
        `This cannot be published: ${code}, at sign ${at + 1} of “${key}” in ${of}.`;
    }
  }
  return errors;
}
