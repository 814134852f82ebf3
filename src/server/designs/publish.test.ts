import { beforeEach, describe, expect, it } from 'vitest';
import { EVENING } from '../../../tests/made/site';
import {
  type TestServer,
  type MadePorch,
  makeTestServer,
  madeMessage,
  madePorch,
} from '../../../tests/made/test-server';
import { wallOf } from '../../core/hours/wall';
import { DAY_MS, HOUR_MS } from '../../core/model/units';
import type { DraftView, Overview, VersionsView } from '../../core/wire/desk';
import type { PointerV1 } from '../../core/wire/pointer';
import { newId, newSecret } from '../ids';
import { zoneOfSite } from '../facts/zones';
import { AT_ONCE } from './publish';

let testServer: TestServer;
let porch: MadePorch;
beforeEach(async () => {
  testServer = await makeTestServer();
  porch = await madePorch(testServer, 'farrow');
});

const read = async <T>(response: Response): Promise<T> => (await response.json()) as T;
const AZORES = zoneOfSite('Atlantic/Azores', EVENING);
/** What the site's clock reads so long from now. */
const wall = (ms: number) => wallOf(AZORES, EVENING + ms);
const draft = async () => read<DraftView>(await porch.desk('GET draft'));
const versions = async () => read<VersionsView>(await porch.desk('GET versions'));
const versionAt = async (ms: number) => {
  testServer.state.clock.moveTo(EVENING + ms);
  const { version } = await read<PointerV1>(await porch.visit('GET live.json'));
  testServer.state.clock.moveTo(EVENING + 60_000);
  return version;
};
const paint = async (brand: string) =>
  porch.desk('POST draft', {
    clientId: newId(EVENING),
    base: (await draft()).revision,
    patches: [{ op: 'set', path: ['widgets', 0, 'look', 'brand'], value: brand }],
    label: 'brand colour',
  });
const brandOf = ({ design }: Pick<DraftView, 'design'>) => design.widgets[0]?.look.brand;
const publish = async (
  when: Partial<{ from: string | null; until: string | null; takesBack: boolean }> = {},
  remark = '',
) => porch.desk('POST publish', { revision: (await draft()).revision, remark, ...AT_ONCE, ...when });

describe('a version that is set for later', () => {
  it('[L6] is live in its period only, and goes back to what is published then, not to what was before', async () => {
    await paint('#111111');
    expect((await publish({ from: wall(DAY_MS), until: wall(3 * DAY_MS), takesBack: true })).status).toBe(
      200,
    );
    await paint('#222222');
    expect(await read(await publish())).toEqual({ version: 3 });
    expect([
      await versionAt(HOUR_MS),
      await versionAt(DAY_MS - 60_000),
      await versionAt(DAY_MS),
      await versionAt(3 * DAY_MS),
    ]).toEqual([3, 3, 2, 3]);
    testServer.state.clock.moveTo(EVENING + HOUR_MS);
    expect((await versions()).planned).toMatchObject([
      { version: 2, from: EVENING + DAY_MS, until: EVENING + 3 * DAY_MS },
    ]);
  });

  it('takes the draft back to how it is outside of it, which can be undone; or leaves it', async () => {
    const before = brandOf(await draft());
    await paint('#111111');
    await publish({ from: wall(DAY_MS), until: wall(2 * DAY_MS), takesBack: true });
    expect(brandOf(await draft())).toBe(before);
    await porch.desk('POST draft/steps', { clientId: newId(EVENING), kind: 'undo' });
    expect(brandOf(await draft())).toBe('#111111');
    await publish({ from: wall(4 * DAY_MS), until: wall(5 * DAY_MS) });
    expect(brandOf(await draft())).toBe('#111111');
  });

  it('from a moment on is live then for good, and the draft is compared with it already', async () => {
    await paint('#111111');
    await publish({ from: wall(HOUR_MS) });
    expect([
      await versionAt(HOUR_MS - 60_000),
      await versionAt(HOUR_MS),
      await versionAt(90 * DAY_MS),
    ]).toEqual([1, 2, 2]);
    const { publishedDesign, version, newestVersion } = await read<Overview>(
      await porch.desk('GET overview'),
    );
    expect([publishedDesign?.widgets[0]?.look.brand, version, newestVersion]).toEqual(['#111111', 1, 2]);
  });

  it('[L6] two periods may not overlap: the one in the way is named, and nothing is stored', async () => {
    await publish({ from: wall(DAY_MS), until: wall(3 * DAY_MS) });
    const errors = async (from: number, until: number) => {
      const response = await publish({ from: wall(from), until: wall(until) });
      return response.ok ? 'set' : (await read<{ errors: Record<string, string> }>(response)).errors;
    };
    expect(await errors(2 * DAY_MS, 4 * DAY_MS)).toEqual({
      from: `Version 2 is set for ${wall(DAY_MS).replace('T', ' ')} to ${wall(3 * DAY_MS).replace('T', ' ')}. Two periods cannot overlap; change one of them.`,
    });
    expect((await versions()).versions.map(({ number }) => number)).toEqual([2, 1]);
    expect(await errors(3 * DAY_MS, 4 * DAY_MS)).toBe('set');
    expect(await errors(-2 * HOUR_MS, HOUR_MS)).toMatchObject({
      from: expect.stringContaining('is over') as string,
    });
    expect(await errors(9 * DAY_MS, 8 * DAY_MS)).toMatchObject({ until: 'It ends before it begins.' });
  });

  it('can be taken back before, and ended while it runs; what is over is not there any more', async () => {
    await publish({ from: wall(DAY_MS), until: wall(2 * DAY_MS) });
    const cancel = async (of = porch) => {
      const [one] = (await versions()).planned;
      return (await of.desk(`POST publications/${one?.id}/cancel`)).status;
    };
    expect(await cancel(await madePorch(testServer, 'elsewhere'))).toBe(404);
    testServer.state.clock.moveTo(EVENING + DAY_MS + HOUR_MS);
    expect((await versions()).inForce).toBe(2);
    const running = await read<Overview>(await porch.desk('GET overview'));
    expect([running.version, running.periodUntil]).toEqual([2, EVENING + 2 * DAY_MS]);
    expect([await cancel(), (await versions()).inForce, await cancel()]).toEqual([200, 1, 404]);
    expect((await read<Overview>(await porch.desk('GET overview'))).periodUntil).toBeNull();
  });

  it('a conversation begins with the widget in force, not with the newest', async () => {
    await porch.desk('POST draft', {
      clientId: newId(EVENING),
      base: 1,
      patches: [{ op: 'set', path: ['widgets', 0, 'teams'], value: [] }],
      label: 'teams',
    });
    await publish({ from: wall(DAY_MS) });
    await porch.visit('POST messages', {
      body: madeMessage('Is the last ferry back after it?', { newToken: newSecret() }),
    });
    const [row] = await testServer.db.selectFrom('conversation').select('team_id').execute();
    expect(row?.team_id).not.toBeNull();
  });
});

describe('an earlier version', () => {
  it('comes back as a new one, with its remark and where it is from; the draft follows and can be undone', async () => {
    const first = brandOf(await draft());
    await paint('#111111');
    await publish({}, 'darker');
    await paint('#222222');
    expect(await read(await porch.desk('POST versions/1/bring-back', { remark: 'as before' }))).toEqual({
      version: 3,
    });
    const { versions: rows, inForce } = await versions();
    expect(inForce).toBe(3);
    expect(rows).toMatchObject([
      { number: 3, remark: 'as before', broughtBackFrom: 1 },
      { number: 2, remark: 'darker', broughtBackFrom: null },
      { number: 1 },
    ]);
    expect(brandOf(await draft())).toBe(first);
    await porch.desk('POST draft/steps', { clientId: newId(EVENING), kind: 'undo' });
    expect(brandOf(await draft())).toBe('#222222');
    expect(brandOf(await read(await porch.desk('GET versions/2')))).toBe('#111111');
  });

  it('that there is not is answered 404, and fifty come at once', async () => {
    expect((await porch.desk('POST versions/9/bring-back', { remark: '' })).status).toBe(404);
    expect((await porch.desk('GET versions/x')).status).toBe(404);
    for (let count = 0; count < 51; count++) await publish({}, `no. ${count}`);
    const all = await versions();
    expect([all.versions.length, all.hasMore, all.versions.at(-1)?.number]).toEqual([50, true, 3]);
    const rest = await read<VersionsView>(await porch.desk('GET versions?below=3'));
    expect([rest.versions.map(({ number }) => number), rest.hasMore]).toEqual([[2, 1], false]);
  });
});

describe('pause', () => {
  it('is in the pointer at once, and in the overview since when; on again it keeps the first instant', async () => {
    const paused = async () => (await read<PointerV1>(await porch.visit('GET live.json'))).paused;
    await porch.desk('POST pause', { isPaused: true });
    expect(await paused()).toBe(true);
    const since = async () => (await read<Overview>(await porch.desk('GET overview'))).pausedAt;
    const first = await since();
    testServer.state.clock.moveTo(EVENING + HOUR_MS);
    await porch.desk('POST pause', { isPaused: true });
    expect([first, await since()]).toEqual([expect.any(Number), first]);
    await porch.desk('POST pause', { isPaused: false });
    expect([await paused(), await since()]).toEqual([false, null]);
  });
});
