import { po } from 'gettext-parser';
import { type Result, fail, ok } from '../../core/result';
import {
  TEXT_FILE_UNITS_MAX,
  TEXT_UNITS_MAX,
  type TextDocument,
  type TextFileFault,
  type TextUnit,
  type TextUnsaid,
} from './document';

/** Writes texts as a gettext PO file: the key is the context, what is said in the source language the id. Plurals stay in the message, as ICU writes them. */
export function writePo({ sourceLocale, targetLocale, units }: TextDocument): string {
  const translations: Parameters<typeof po.compile>[0]['translations'] = {};
  for (const { key, source, target, note } of units)
    translations[key] = {
      [source]: {
        msgctxt: key,
        msgid: source,
        msgstr: [target ?? ''],
        ...(note === '' ? {} : { comments: { extracted: note } }),
      },
    };
  const headers = {
    'Content-Type': 'text/plain; charset=utf-8',
    'Content-Transfer-Encoding': '8bit',
    Language: targetLocale,
    'X-Source-Language': sourceLocale,
  };
  return new TextDecoder().decode(po.compile({ charset: 'utf-8', headers, translations }, { foldLength: 0 }));
}

/** Reads a PO file. Texts without a context have no key and are told, so are plurals of gettext's own; fuzzy ones count as not translated. */
export function readPo(
  text: string,
): Result<{ readonly value: TextDocument; readonly unsaid: readonly TextUnsaid[] }, TextFileFault> {
  if (text.length > TEXT_FILE_UNITS_MAX) return fail({ line: 0, reason: 'too-large' });
  let catalogue: ReturnType<typeof po.parse>;
  try {
    catalogue = po.parse(text);
  } catch (error) {
    const line = Number((error as { lineNumber?: unknown }).lineNumber);
    return fail({ line: Number.isFinite(line) ? line : 0, reason: 'not-po' });
  }
  const { Language: targetLocale = '', 'X-Source-Language': sourceLocale = '' } = catalogue.headers ?? {};
  if (targetLocale === '') return fail({ line: 1, reason: 'no-language' });
  const units: TextUnit[] = [];
  const unsaid: TextUnsaid[] = [];
  for (const [key, entries] of Object.entries(catalogue.translations))
    for (const { msgid, msgid_plural: plural, msgstr, comments } of Object.values(entries)) {
      if (key === '') {
        if (msgid !== '') unsaid.push({ what: 'no-key', about: msgid.slice(0, 60) });
        continue;
      }
      if (plural !== undefined) unsaid.push({ what: 'plural', about: key });
      else if (units.at(-1)?.key === key) unsaid.push({ what: 'twice', about: key });
      else
        units.push({
          key,
          source: msgid,
          target: isDone(msgstr[0], comments?.flag) ? (msgstr[0] ?? null) : null,
          note: comments?.extracted ?? '',
        });
      if (units.length > TEXT_UNITS_MAX) return fail({ line: 0, reason: 'too-many' });
    }
  return ok({ value: { sourceLocale, targetLocale, units }, unsaid });
}

function isDone(text: string | undefined, flags: string | undefined): boolean {
  return (
    text !== undefined && text !== '' && !(flags ?? '').split(',').some((flag) => flag.trim() === 'fuzzy')
  );
}
