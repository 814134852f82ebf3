import Papa from 'papaparse';
import type { EpochMs } from '../../core/model/units';

/** One view of a page, as a file of traffic says it. */
export interface PageViewRecord {
  /** Whatever tells one visitor from another in the file. */
  readonly visitor: string;
  readonly at: EpochMs;
  readonly address: string;
  readonly referrer: string | null;
}

/** A line that says no page view, and why. */
export interface PageViewFault {
  readonly line: number;
  readonly reason: 'not-csv' | 'not-json' | 'too-long' | 'no-time' | 'no-address' | 'no-visitor';
}

export interface PageViewHearer {
  readonly view: (view: PageViewRecord) => void;
  readonly fault: (fault: PageViewFault) => void;
}

/** Takes a file in pieces, as it comes; `end` for what is left without a final line break. */
export interface PageViewReader {
  write(piece: string): void;
  end(): void;
}

/** A line longer than this, in UTF-16 code units, is skipped and told. */
export const PAGE_VIEW_LINE_MAX = 16_384;

/** Names a column or a property may have. */
const NAMES = {
  visitor: ['visitor', 'visitor_id', 'session', 'client'],
  at: ['time', 'timestamp', 'at', 'date'],
  address: ['address', 'url', 'page'],
  referrer: ['referrer', 'referer'],
} as const;

/** One JSON object a line (NDJSON). */
export function ndjsonReader(on: PageViewHearer): PageViewReader {
  return lineReader(on, (line, number) => {
    let value: unknown;
    try {
      value = JSON.parse(line);
    } catch {
      return on.fault({ line: number, reason: 'not-json' }); // told at its line
    }
    if (typeof value !== 'object' || value === null || Array.isArray(value))
      return on.fault({ line: number, reason: 'not-json' }); // told at its line
    const properties = value as Readonly<Record<string, unknown>>;
    tell(on, number, (names) =>
      names
        .map((name) => (Object.hasOwn(properties, name) ? properties[name] : undefined))
        .find((one) => one !== undefined),
    );
  });
}

/** CSV with a first row of names; a field does not go over lines. */
export function csvReader(on: PageViewHearer): PageViewReader {
  let head: readonly string[] | null = null;
  return lineReader(on, (line, number) => {
    const { data, errors } = Papa.parse(line, {
      delimiter: head === null ? '' : ',',
      delimitersToGuess: [',', ';', '\t'],
    });
    const [row] = data;
    if (row === undefined || errors.some(({ code }) => code !== 'UndetectableDelimiter'))
      return on.fault({ line: number, reason: 'not-csv' });
    if (head === null) {
      head = row.map((name) => name.trim().toLowerCase());
      return;
    }
    const names = head;
    tell(on, number, (wanted) => row[names.findIndex((name) => wanted.includes(name))]);
  });
}

function lineReader(on: PageViewHearer, take: (line: string, number: number) => void): PageViewReader {
  let rest = '';
  let number = 0;
  let isSkipping = false;
  const line = (text: string): void => {
    number++;
    if (isSkipping || text.length > PAGE_VIEW_LINE_MAX) on.fault({ line: number, reason: 'too-long' });
    else if (text.trim() !== '') take(text.replace(/^\ufeff/, '').replace(/\r$/, ''), number);
    isSkipping = false;
  };
  return {
    write: (piece) => {
      const lines = (rest + piece).split('\n');
      rest = lines.pop() ?? '';
      lines.forEach(line);
      if (rest.length <= PAGE_VIEW_LINE_MAX) return;
      isSkipping = true; // the rest of this line comes and goes without being kept
      rest = '';
    },
    end: () => {
      if (rest !== '' || isSkipping) line(rest);
      rest = '';
    },
  };
}

function tell(on: PageViewHearer, line: number, valueOf: (names: readonly string[]) => unknown): void {
  const [visitor, address, referrer] = [
    valueOf(NAMES.visitor),
    valueOf(NAMES.address),
    valueOf(NAMES.referrer),
  ];
  const at = toInstant(valueOf(NAMES.at));
  if (at === null) return on.fault({ line, reason: 'no-time' });
  if (typeof address !== 'string' || !/^(https?:\/\/|\/)/i.test(address))
    return on.fault({ line, reason: 'no-address' });
  if (typeof visitor !== 'string' && typeof visitor !== 'number')
    return on.fault({ line, reason: 'no-visitor' });
  on.view({
    visitor: String(visitor),
    at,
    address,
    referrer: typeof referrer === 'string' && referrer !== '' ? referrer : null,
  });
}

/** ISO 8601 with a zone, or a count of seconds or milliseconds since 1970: what says no zone says no instant. */
function toInstant(value: unknown): EpochMs | null {
  const text = typeof value === 'number' || typeof value === 'string' ? String(value).trim() : '';
  if (/^\d{9,10}(\.\d+)?$/.test(text)) return Math.round(Number(text) * 1000);
  if (/^\d{12,13}$/.test(text)) return Number(text);
  if (!/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(:\d{2}(\.\d+)?)?(Z|[+-]\d{2}:?\d{2})$/.test(text)) return null;
  const at = Date.parse(text);
  return Number.isFinite(at) ? at : null;
}
