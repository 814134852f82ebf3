import Papa from 'papaparse';
import { type Result, fail, ok } from '../../core/result';
import {
  TEXT_FILE_UNITS_MAX,
  TEXT_UNITS_MAX,
  type TextDocument,
  type TextFileFault,
  type TextUnit,
  type TextUnsaid,
} from './document';

/** The first row: `key`, then the source's language, the target's, and the note. */
const KEY = 'key';
const NOTE = 'note';
const BYTE_ORDER_MARK = '\ufeff';

/**
 * Writes texts as CSV (RFC 4180), with a byte order mark, so that spreadsheets read it as UTF-8. What a spreadsheet would
 * take for a formula is written behind an apostrophe, and read back without it. A missing translation is an empty field.
 */
export function writeTextsCsv({ sourceLocale, targetLocale, units }: TextDocument): string {
  const rows = units.map(({ key, source, target, note }) => [key, source, target ?? '', note].map(guarded));
  return `${BYTE_ORDER_MARK}${Papa.unparse([[KEY, sourceLocale, targetLocale, NOTE], ...rows], { newline: '\r\n' })}\r\n`;
}

const FORMULA = /^'*[=+\-@\t\r]/;
function guarded(text: string): string {
  return FORMULA.test(text) ? `'${text}` : text;
}

function unguarded(text: string): string {
  return text.startsWith("'") && FORMULA.test(text) ? text.slice(1) : text;
}

/** Reads what `writeTextsCsv` wrote, also with semicolons or tabs, as spreadsheets save it. A key that came before is told. */
export function readTextsCsv(
  text: string,
): Result<{ readonly value: TextDocument; readonly unsaid: readonly TextUnsaid[] }, TextFileFault> {
  if (text.length > TEXT_FILE_UNITS_MAX) return fail({ line: 0, reason: 'too-large' });
  const { data, errors } = Papa.parse(text.replace(BYTE_ORDER_MARK, ''), {
    skipEmptyLines: 'greedy',
    delimitersToGuess: [',', ';', '\t'],
  });
  const [fault] = errors.filter(({ code }) => code !== 'UndetectableDelimiter');
  if (fault !== undefined) return fail({ line: (fault.row ?? 0) + 1, reason: 'not-csv' });
  const [head, ...rows] = data;
  if (head?.[0] !== KEY) return fail({ line: 1, reason: 'not-csv' });
  const [, sourceLocale = '', targetLocale = ''] = head;
  if (sourceLocale === '' || targetLocale === '' || targetLocale === NOTE)
    return fail({ line: 1, reason: 'no-language' });
  if (rows.length > TEXT_UNITS_MAX) return fail({ line: TEXT_UNITS_MAX + 2, reason: 'too-many' });
  const keys = new Set<string>();
  const unsaid: TextUnsaid[] = [];
  const units = rows.flatMap((row): TextUnit[] => {
    const [key = '', source = '', target = '', note = ''] = row.map(unguarded);
    if (key === '' || keys.has(key)) {
      unsaid.push({ what: key === '' ? 'no-key' : 'twice', about: key });
      return [];
    }
    keys.add(key);
    return [{ key, source, target: target === '' ? null : target, note }];
  });
  return ok({ value: { sourceLocale, targetLocale, units }, unsaid });
}
