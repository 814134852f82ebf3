import type { EpochMs } from '../../core/model/units';

/** One request out of a Combined Log Format access log (NCSA combined: `%h %l %u %t "%r" %>s %b "%{Referer}i" "%{User-agent}i"`). */
export interface LoggedRequest {
  readonly address: string;
  readonly at: EpochMs;
  readonly method: string;
  /** Path and query as they were asked for. */
  readonly target: string;
  readonly status: number;
  /** Empty where none was sent (`-`). */
  readonly referrer: string;
  readonly agent: string;
}

/** A line that is none; counted and told, never guessed at. */
export interface LogFault {
  readonly line: number;
  readonly reason: 'too-long' | 'no-time' | 'no-request' | 'no-status' | 'cut-off';
}

export interface LogReader {
  /** Takes the next piece of the file, wherever it was cut. */
  take(chunk: string): void;
  /** The file has ended; what stands without a line's end is read too. */
  end(): void;
}

/** Longer lines are skipped whole, so that memory stays bounded whatever a file holds. */
export const LINE_UNITS_MAX = 16_384;

/** Reads a log piece by piece, one request at a time; it never holds more than a line. */
export function accessLogReader(on: {
  request: (request: LoggedRequest) => void;
  fault: (fault: LogFault) => void;
}): LogReader {
  let rest = '';
  let line = 0;
  let isSkipping = false;
  const one = (text: string): void => {
    line++;
    if (isSkipping || text.length > LINE_UNITS_MAX) {
      isSkipping = false;
      return on.fault({ line, reason: 'too-long' });
    }
    const clean = text.endsWith('\r') ? text.slice(0, -1) : text;
    if (clean === '') return;
    const read = readLogLine(clean);
    if (typeof read === 'string') on.fault({ line, reason: read });
    else on.request(read);
  };
  return {
    take: (chunk) => {
      const text = rest + chunk;
      let from = 0;
      for (let end = text.indexOf('\n'); end >= 0; end = text.indexOf('\n', from)) {
        one(text.slice(from, end));
        from = end + 1;
      }
      rest = text.slice(from);
      if (rest.length > LINE_UNITS_MAX) {
        isSkipping = true;
        rest = '';
      }
    },
    end: () => {
      if (rest !== '' || isSkipping) one(rest);
      rest = '';
    },
  };
}

const MONTHS: Readonly<Record<string, number>> = {
  Jan: 0,
  Feb: 1,
  Mar: 2,
  Apr: 3,
  May: 4,
  Jun: 5,
  Jul: 6,
  Aug: 7,
  Sep: 8,
  Oct: 9,
  Nov: 10,
  Dec: 11,
};

/**
 * Reads one line by scanning for its marks, without an expression; gives the reason where it cannot be read. Quotes
 * inside of quoted parts stand behind a backslash, as servers write them.
 */
export function readLogLine(text: string): LoggedRequest | LogFault['reason'] {
  const addressEnd = text.indexOf(' ');
  const timeAt = text.indexOf('[', addressEnd);
  const timeEnd = text.indexOf(']', timeAt);
  if (addressEnd <= 0 || timeAt < 0 || timeEnd < 0) return 'no-time';
  const at = readTime(text, timeAt + 1, timeEnd);
  if (at === null) return 'no-time';
  const requestAt = text.indexOf('"', timeEnd);
  const requestEnd = requestAt < 0 ? -1 : quoteEnd(text, requestAt + 1);
  if (requestEnd < 0) return requestAt < 0 ? 'no-request' : 'cut-off';
  const methodEnd = text.indexOf(' ', requestAt);
  if (methodEnd < 0 || methodEnd >= requestEnd) return 'no-request';
  const targetEnd = text.lastIndexOf(' ', requestEnd);
  const status = digits(text, requestEnd + 2, 3);
  if (!(status >= 100 && status <= 599)) return 'no-status';
  const referrerAt = text.indexOf('"', requestEnd + 1);
  const referrerEnd = referrerAt < 0 ? -1 : quoteEnd(text, referrerAt + 1);
  const agentAt = referrerEnd < 0 ? -1 : text.indexOf('"', referrerEnd + 1);
  const agentEnd = agentAt < 0 ? -1 : quoteEnd(text, agentAt + 1);
  if (agentEnd < 0) return 'cut-off';
  return {
    address: text.slice(0, addressEnd),
    at,
    method: text.slice(requestAt + 1, methodEnd),
    target: text.slice(methodEnd + 1, targetEnd > methodEnd ? targetEnd : requestEnd),
    status,
    referrer: unquoted(text, referrerAt + 1, referrerEnd),
    agent: unquoted(text, agentAt + 1, agentEnd),
  };
}

/** `25/Nov/2026:22:14:07 -0100` as an instant; null where it is none. */
function readTime(text: string, from: number, to: number): EpochMs | null {
  if (to - from !== 26) return null;
  const midnight = text.startsWith(lastDate, from) ? lastMidnight : readDate(text.slice(from, from + 11));
  const hour = twoDigits(text, from + 12);
  const minute = twoDigits(text, from + 15);
  const second = twoDigits(text, from + 18);
  const zoneHour = twoDigits(text, from + 22);
  const zoneMinute = twoDigits(text, from + 24);
  const sign = text.charCodeAt(from + 21) === MINUS ? -1 : text.charCodeAt(from + 21) === PLUS ? 1 : 0;
  if (midnight === null || sign === 0 || hour > 23 || minute > 59 || second > 60) return null;
  if (hour < 0 || minute < 0 || second < 0 || zoneHour < 0 || zoneMinute < 0) return null;
  return midnight + ((hour - sign * zoneHour) * 3600 + (minute - sign * zoneMinute) * 60 + second) * 1000;
}
const [PLUS, MINUS, BACKSLASH] = [43, 45, 92];

/** Lines of a log follow each other in time: the date is nearly always that of the line before. */
let [lastDate, lastMidnight]: [string, EpochMs] = ['01/Jan/1970', 0];

/** `25/Nov/2026` as midnight in UTC; null where it is none. */
function readDate(text: string): EpochMs | null {
  const month = MONTHS[text.slice(3, 6)];
  const [date, year] = [digits(text, 0, 2), digits(text, 7, 4)];
  if (month === undefined || date < 1 || date > 31 || year < 0) return null;
  [lastDate, lastMidnight] = [text, Date.UTC(year, month, date)];
  return lastMidnight;
}

/** So many digits as a number; -1 where one is none. */
function digits(text: string, from: number, count: number): number {
  let value = 0;
  for (let at = from; at < from + count; at++) {
    const digit = text.charCodeAt(at) - 48;
    if (!(digit >= 0 && digit <= 9)) return -1;
    value = value * 10 + digit;
  }
  return value;
}

/** The same for two, which a line holds five times. */
function twoDigits(text: string, from: number): number {
  const [tens, ones] = [text.charCodeAt(from) - 48, text.charCodeAt(from + 1) - 48];
  return tens >= 0 && tens <= 9 && ones >= 0 && ones <= 9 ? tens * 10 + ones : -1;
}

function quoteEnd(text: string, from: number): number {
  let end = text.indexOf('"', from);
  while (end >= 0 && isEscaped(text, from, end)) end = text.indexOf('"', end + 1);
  return end;
}

/** Whether an odd number of backslashes stands before a place. */
function isEscaped(text: string, from: number, at: number): boolean {
  let count = 0;
  while (at - 1 - count >= from && text.charCodeAt(at - 1 - count) === BACKSLASH) count++;
  return count % 2 === 1;
}

function unquoted(text: string, from: number, to: number): string {
  const part = text.slice(from, to);
  if (part === '-') return '';
  return part.indexOf('\\') >= 0 ? part.replace(/\\(["\\])/g, '$1') : part;
}
