import { SaxesParser } from 'saxes';
import { type Result, fail, ok } from '../../core/result';
import {
  TEXT_FILE_UNITS_MAX,
  TEXT_UNITS_MAX,
  type TextDocument,
  type TextFileFault,
  type TextUnit,
  type TextUnsaid,
} from './document';

export type XliffVersion = '1.2' | '2.1';

/** Writes texts as XLIFF (OASIS). White space is kept; a text that is not translated has no target. */
export function writeXliff(
  { sourceLocale, targetLocale, units }: TextDocument,
  version: XliffVersion,
): string {
  const [source, target] = [attribute(sourceLocale), attribute(targetLocale)];
  if (version === '1.2')
    return `<?xml version="1.0" encoding="UTF-8"?>
<xliff xmlns="urn:oasis:names:tc:xliff:document:1.2" version="1.2">
  <file original="sunny-porch" datatype="plaintext" source-language="${source}" target-language="${target}">
    <body>
${units.map(unit12).join('\n')}
    </body>
  </file>
</xliff>
`;
  return `<?xml version="1.0" encoding="UTF-8"?>
<xliff xmlns="urn:oasis:names:tc:xliff:document:2.0" version="2.1" srcLang="${source}" trgLang="${target}">
  <file id="texts">
${units.map(unit21).join('\n')}
  </file>
</xliff>
`;
}

function unit12({ key, source, target, note }: TextUnit): string {
  const translated = target === null ? '' : `<target>${content(target)}</target>`;
  const told = note === '' ? '' : `<note>${content(note)}</note>`;
  return `      <trans-unit id="${attribute(key)}" xml:space="preserve"><source>${content(source)}</source>${translated}${told}</trans-unit>`;
}

/** Keys of ours are no NMTOKEN, which an id must be here: the name carries them. */
function unit21({ key, source, target, note }: TextUnit, index: number): string {
  const translated = target === null ? '' : `<target xml:space="preserve">${content(target)}</target>`;
  const told = note === '' ? '' : `<notes><note>${content(note)}</note></notes>`;
  return `    <unit id="u${index + 1}" name="${attribute(key)}">${told}<segment><source xml:space="preserve">${content(source)}</source>${translated}</segment></unit>`;
}

const ESCAPES: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  '\n': '&#10;',
  '\t': '&#9;',
  '\r': '&#13;',
};

function content(text: string): string {
  return text.replace(/[&<>\r]/g, (sign) => ESCAPES[sign] ?? sign);
}

function attribute(text: string): string {
  return text.replace(/[&<>"\n\t\r]/g, (sign) => ESCAPES[sign] ?? sign);
}

/** Reads XLIFF 1.x or 2.x. Tags inside of texts are left out and told; so is a text without a key, or with one that came before. */
export function readXliff(
  text: string,
): Result<{ readonly value: TextDocument; readonly unsaid: readonly TextUnsaid[] }, TextFileFault> {
  if (text.length > TEXT_FILE_UNITS_MAX) return fail({ line: 0, reason: 'too-large' });
  const reading = readingOf();
  const parser = new SaxesParser();
  parser.on('error', () => reading.refuse('not-xml', parser.line));
  parser.on('doctype', () => reading.refuse('not-xml', parser.line));
  parser.on('opentag', ({ name, attributes }) =>
    reading.open(name.replace(/^.*:/, ''), attributes, parser.line),
  );
  parser.on('text', reading.take);
  parser.on('cdata', reading.take);
  parser.on('closetag', ({ name }) => reading.close(name.replace(/^.*:/, ''), parser.line));
  try {
    parser.write(text).close();
  } catch {
    reading.refuse('not-xml', parser.line); // told at its line
  }
  return reading.outcome();
}

function readingOf() {
  const units: TextUnit[] = [];
  const unsaid: TextUnsaid[] = [];
  const keys = new Set<string>();
  let fault: TextFileFault | null = null;
  let languages: { sourceLocale: string; targetLocale: string } | null = null;
  let isXliff = false;
  let unit: { key: string; source: string; target: string | null; note: string; hasTags: boolean } | null =
    null;
  let part: 'source' | 'target' | 'note' | null = null;

  const refuse = (reason: TextFileFault['reason'], line: number): void => {
    fault ??= { line, reason };
  };
  const language = (source: string | undefined, target: string | undefined): void => {
    if (source !== undefined) languages ??= { sourceLocale: source, targetLocale: target ?? '' };
  };
  const root = (name: string, attributes: Readonly<Record<string, string>>, line: number): void => {
    isXliff = true;
    if (name !== 'xliff') return refuse('not-xliff', line);
    if (!/^(1\.[0-2]|2\.[0-2])$/.test(attributes.version ?? '')) return refuse('unknown-version', line);
    language(attributes.srcLang, attributes.trgLang);
  };
  const open = (name: string, attributes: Readonly<Record<string, string>>, line: number): void => {
    if (!isXliff) return root(name, attributes, line);
    if (name === 'file') language(attributes['source-language'], attributes['target-language']);
    else if (name === 'trans-unit')
      unit = { key: attributes.id ?? '', source: '', target: null, note: '', hasTags: false };
    else if (name === 'unit')
      unit = {
        key: attributes.name ?? attributes.id ?? '',
        source: '',
        target: null,
        note: '',
        hasTags: false,
      };
    else if (unit !== null && part === null && (name === 'source' || name === 'target' || name === 'note')) {
      part = name;
      if (name === 'target') unit.target ??= '';
    } else if (unit !== null && part !== null) unit.hasTags = true;
  };
  const take = (text: string): void => {
    if (unit === null || part === null) return;
    if (part === 'target') unit.target = (unit.target ?? '') + text;
    else unit[part] += text;
  };
  const close = (name: string, line: number): void => {
    if (name === part) part = null;
    if ((name !== 'trans-unit' && name !== 'unit') || unit === null) return;
    const { key, source, target, note, hasTags } = unit;
    unit = null;
    if (key === '') return void unsaid.push({ what: 'no-key', about: source.slice(0, 60) });
    if (keys.has(key)) return void unsaid.push({ what: 'twice', about: key });
    keys.add(key);
    if (hasTags) unsaid.push({ what: 'inline-tag', about: key });
    if (units.push({ key, source, target: target === '' ? null : target, note }) > TEXT_UNITS_MAX)
      refuse('too-many', line);
  };
  const outcome = (): ReturnType<typeof readXliff> => {
    if (fault !== null) return fail(fault);
    return languages === null
      ? fail({ line: 1, reason: 'no-language' })
      : ok({ value: { ...languages, units }, unsaid });
  };
  return { refuse, open, take, close, outcome };
}
