import { beforeEach, describe, expect, it } from 'vitest';
import { type TestServer, type MadePorch, makeTestServer, madePorch } from '../../../tests/made/test-server';
import type { KeptVisit } from '../../core/rehearse/kept-visit';
import type { FindingFacts } from '../../core/wire/desk';
import { LIMITS } from '../../core/limits';

let testServer: TestServer;
let porch: MadePorch;
beforeEach(async () => {
  testServer = await makeTestServer();
  porch = await madePorch(testServer, 'farrowisle');
});
const read = async <T>(response: Response): Promise<T> => (await response.json()) as T;

describe('findings that are dismissed', () => {
  const facts = async (of = porch) => read<FindingFacts>(await of.desk('GET findings'));
  const dismissal = (key: string, reason: string) => porch.desk('POST findings/dismiss', { key, reason });

  it('with a reason and by whom; a second reason takes the first one’s place; taken back they are gone', async () => {
    expect((await dismissal('rule-swallowed a', '  ')).status).toBe(400);
    expect((await dismissal('rule-swallowed a', 'On purpose.')).status).toBe(200);
    expect((await dismissal('rule-swallowed a', 'Still on purpose.')).status).toBe(200);
    const { dismissals, peopleOf } = await facts();
    expect(dismissals).toMatchObject([{ key: 'rule-swallowed a', reason: 'Still on purpose.' }]);
    expect(Object.values(peopleOf)).toEqual([1]);
    await porch.desk('POST findings/restore', { key: 'rule-swallowed a' });
    expect((await facts()).dismissals).toEqual([]);
  });

  it('[threat 2] of one site are not another’s', async () => {
    const other = await madePorch(testServer, 'elsewhere');
    await dismissal('rule-swallowed a', 'On purpose.');
    expect((await facts(other)).dismissals).toEqual([]);
    await other.desk('POST findings/restore', { key: 'rule-swallowed a' });
    expect((await facts()).dismissals).toHaveLength(1);
  });
});

describe('kept visits', () => {
  const list = async () => (await read<{ visits: KeptVisit[] }>(await porch.desk('GET visits'))).visits;
  const visit = (number: number, change: object = {}) => ({
    id: `kept-visit-${String(number).padStart(8, '0')}`,
    name: 'A teacher',
    assumptions: {
      page: '/tonight',
      at: 1_795_640_400_000,
      visit: 'first',
      device: 'desktop',
      locale: 'en',
      who: 'in',
      asks: null,
      zone: null,
    },
    held: { '00000000night': true },
    steps: 'w40~nonsense~open',
    expects: { kind: 'ends-at', moment: 'at-the-door' },
    ...change,
  });

  it('are kept once each, with the steps that can be read, and removed', async () => {
    await porch.desk('POST visits', visit(1));
    await porch.desk('POST visits', visit(1));
    expect(await list()).toEqual([{ ...visit(1), steps: 'w40~open' }]);
    await porch.desk('POST visits/remove', { id: visit(1).id });
    expect(await list()).toEqual([]);
  });

  it('are refused where they say nothing that can be checked', async () => {
    const wrong = [
      { held: { night: 'yes' } },
      { expects: { kind: 'gets' } },
      { name: ' ' },
      { assumptions: { ...visit(1).assumptions, page: 'javascript:alert(1)' } },
    ];
    for (const change of wrong) expect((await porch.desk('POST visits', visit(1, change))).status).toBe(400);
    expect(await list()).toEqual([]);
  });

  it('are so many at most', async () => {
    for (let number = 0; number < LIMITS.keptVisits; number++) await porch.desk('POST visits', visit(number));
    expect((await porch.desk('POST visits', visit(999))).status).toBe(400);
    expect(await list()).toHaveLength(LIMITS.keptVisits);
  });
});
