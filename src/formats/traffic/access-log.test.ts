import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  LINE_UNITS_MAX,
  type LogFault,
  type LoggedRequest,
  accessLogReader,
  readLogLine,
} from './access-log';

const LINE =
  '203.0.113.7 - - [25/Nov/2026:22:14:07 -0100] "GET /tonight?utm_source=letter HTTP/1.1" 200 5120 "https://farrowisle.example/" "Mozilla/5.0 (X11; Linux)"';
const READ: LoggedRequest = {
  address: '203.0.113.7',
  at: Date.UTC(2026, 10, 25, 23, 14, 7),
  method: 'GET',
  target: '/tonight?utm_source=letter',
  status: 200,
  referrer: 'https://farrowisle.example/',
  agent: 'Mozilla/5.0 (X11; Linux)',
};

function readAll(chunks: readonly string[]) {
  const requests: LoggedRequest[] = [];
  const faults: LogFault[] = [];
  const reader = accessLogReader({ request: (one) => requests.push(one), fault: (one) => faults.push(one) });
  chunks.forEach(reader.take);
  reader.end();
  return { requests, faults };
}

describe('access logs', () => {
  it('reads a line: the time in its own zone, the target with its query', () => {
    expect(readLogLine(LINE)).toEqual(READ);
  });

  it('reads what servers write for nothing, for a bare protocol, for quotes and backslashes', () => {
    const line =
      '2001:db8::1 - ana [01/Mar/2028:00:00:00 +0530] "GET /a b HTTP/2.0" 304 - "-" "say \\"moon\\" \\\\"';
    expect(readLogLine(line)).toMatchObject({
      address: '2001:db8::1',
      at: Date.UTC(2028, 1, 29, 18, 30),
      target: '/a b',
      status: 304,
      referrer: '',
      agent: 'say "moon" \\',
    });
  });

  it.each([
    ['', 'no-time'],
    ['one two three', 'no-time'],
    [LINE.replace('25/Nov', '25/Nox'), 'no-time'],
    [LINE.replace('22:14', '25:14'), 'no-time'],
    [LINE.replace('"GET /tonight?utm_source=letter HTTP/1.1"', '"-"'), 'no-request'],
    [LINE.replace(' 200 ', ' xyz '), 'no-status'],
    [LINE.slice(0, -3), 'cut-off'],
    [LINE.slice(0, 60), 'cut-off'],
  ] as const)('says of “%s” why it cannot be read', (line, reason) => {
    expect(readLogLine(line)).toBe(reason);
  });

  it('tells the line of what it leaves out, and reads on', () => {
    const { requests, faults } = readAll([`${LINE}\nnonsense\n\n${LINE}\r\n${LINE}`]);
    expect([requests, faults]).toEqual([[READ, READ, READ], [{ line: 2, reason: 'no-time' }]]);
  });

  it('holds no more than a line, whatever a file holds: a line without end is skipped whole and counted once', () => {
    const long = 'x'.repeat(LINE_UNITS_MAX);
    const { requests, faults } = readAll([LINE, '\n', long, long, long, `${long}\n`, LINE, '\n']);
    expect([requests.length, faults]).toEqual([2, [{ line: 2, reason: 'too-long' }]]);
  });

  it('law: the same requests and faults wherever the file is cut', () => {
    const text = [LINE, 'broken', LINE.replace('200', '404'), '', LINE.slice(0, 40), `${LINE}\r`].join('\n');
    const whole = readAll([text]);
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 40 }), { minLength: 1, maxLength: 40 }), (sizes) => {
        const chunks: string[] = [];
        for (let at = 0, turn = 0; at < text.length; turn++) {
          const size = sizes[turn % sizes.length] ?? 1;
          chunks.push(text.slice(at, at + size));
          at += size;
        }
        expect(readAll(chunks)).toEqual(whole);
      }),
      { numRuns: 300, seed: 20261126 },
    );
  });

  it('law: agrees with an expression that says the same, on seeded lines', () => {
    const pattern = /^(\S+) \S+ \S+ \[([^\]]{26})\] "(\S+) (.*?)(?: \S+)?" (\d{3}) \S+ "([^"]*)" "([^"]*)"$/;
    const word = fc.stringMatching(/^[a-z0-9/?=&._-]{1,20}$/);
    const line = fc.record({
      address: fc.ipV4(),
      method: fc.constantFrom('GET', 'POST', 'HEAD'),
      target: word,
      status: fc.integer({ min: 100, max: 599 }),
      referrer: fc.oneof(fc.constant('-'), word),
      agent: fc.stringMatching(/^[A-Za-z0-9/;() .]{1,40}$/),
    });
    fc.assert(
      fc.property(line, ({ address, method, target, status, referrer, agent }) => {
        const text = `${address} - - [25/Nov/2026:22:14:07 -0100] "${method} /${target} HTTP/1.1" ${status} 12 "${referrer}" "${agent}"`;
        const match = pattern.exec(text);
        const read = readLogLine(text);
        expect(read).toMatchObject({
          address: match?.[1],
          method: match?.[3],
          target: match?.[4],
          status: Number(match?.[5]),
          referrer: match?.[6] === '-' ? '' : match?.[6],
          agent: match?.[7],
        });
      }),
      { numRuns: 2000, seed: 20261126 },
    );
  });
});
