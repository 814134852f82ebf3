import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { calendar, everyDay, times } from '../../../tests/made/hours';
import {
  type TestServer,
  type MadePorch,
  makeTestServer,
  madeMessage,
  madePorch,
} from '../../../tests/made/test-server';
import { EVENING } from '../../../tests/made/site';
import type { Calendar } from '../../core/model/calendar';
import { DAY_MS, HOUR_MS } from '../../core/model/units';
import type { PointerV1 } from '../../core/wire/pointer';
import { closeDatabase } from '../db/open';
import { newSecret } from '../ids';
import { endQuiet } from '../conversations/end-talk';
import { renewFacts } from './renew-facts';
import { saveCalendar, setOverride } from './hours';

let testServer: TestServer;
let porch: MadePorch;
beforeEach(async () => {
  testServer = await makeTestServer();
  porch = await madePorch(testServer, 'farrowisle');
});
afterEach(() => closeDatabase(testServer.db));

const actor = () => ({ siteId: porch.siteId, personId: porch.ownerId, at: testServer.state.clock.now() });
const night = (change: Partial<Calendar> = {}) =>
  calendar({ id: '00000night', week: everyDay('17:30-20:00'), ...change });
const pointer = async () => (await (await porch.visit('GET live.json')).json()) as PointerV1;

describe('hours, as they are saved', () => {
  it('[L1] take effect at once as new facts; the design stays the version it is', async () => {
    const before = await pointer();
    expect(await saveCalendar(testServer.state, actor(), night())).toEqual({ ok: true, value: null });
    const after = await pointer();
    expect([after.version, after.design]).toEqual([before.version, before.design]);
    expect(after.revision).toBe(before.revision + 1);
    const facts = (await (await porch.visit(`GET ${after.facts}`)).json()) as {
      calendars: Record<string, unknown>;
      zones: Record<string, number[]>;
    };
    expect(facts.calendars['00000night']).toMatchObject({ zone: 'Atlantic/Azores' });
    expect(facts.zones['Atlantic/Azores']?.length).toBeGreaterThan(20);
  });

  it('[H8] what cannot stand is refused with both names, and nothing changes', async () => {
    const day = 20_800;
    const twice = ['x', 'y'].map((id) => ({
      id,
      name: id,
      days: { kind: 'date' as const, day },
      intervals: times('10:00-12:00'),
      endsNightBefore: false,
    }));
    const before = await pointer();
    expect(await saveCalendar(testServer.state, actor(), night({ exceptions: twice }))).toMatchObject({
      ok: false,
      errors: { 'x+y': expect.stringContaining('x, y') as string },
    });
    expect(await saveCalendar(testServer.state, actor(), night({ zone: 'Atlantic/Nowhere' }))).toMatchObject({
      ok: false,
    });
    expect((await pointer()).revision).toBe(before.revision);
  });

  it('[H16] what has a date and is over, or far away, stays at home; names of one’s own exceptions do too', async () => {
    const today = Math.floor(EVENING / DAY_MS);
    const on = (id: string, day: number, kind: 'date' | 'holiday') => ({
      id,
      name: `name of ${id}`,
      days: { kind, day },
      intervals: [],
      endsNightBefore: false,
    });
    await saveCalendar(
      testServer.state,
      actor(),
      night({
        exceptions: [
          on('old', today - 9, 'date'),
          on('soon', today + 9, 'date'),
          on('moon', today + 20, 'holiday'),
          on('far', today + 900, 'date'),
        ],
      }),
    );
    const facts = await (await porch.visit(`GET ${(await pointer()).facts}`)).text();
    expect(facts).toContain('name of moon');
    for (const name of ['name of old', 'name of soon', 'name of far']) expect(facts).not.toContain(name);
    expect(
      (JSON.parse(facts) as { calendars: Record<string, { exceptions: unknown[] }> }).calendars['00000night']
        ?.exceptions,
    ).toHaveLength(2);
  });

  it('[H16] each day the facts are written anew where the day has changed them, and only there', async () => {
    const other = await madePorch(testServer, 'elsewhere');
    const far = {
      id: 'far',
      name: 'Star party',
      days: { kind: 'holiday', day: Math.floor(EVENING / DAY_MS) + 401 } as const,
      intervals: [],
    };
    await saveCalendar(
      testServer.state,
      actor(),
      night({ exceptions: [{ ...far, endsNightBefore: false }] }),
    );
    const before = await pointer();
    const elsewhere = ((await (await other.visit('GET live.json')).json()) as PointerV1).facts;
    testServer.state.clock.moveTo(EVENING + DAY_MS - 60_000);
    expect(await renewFacts(testServer.state)).toBe(0);
    testServer.state.clock.moveTo(EVENING + 2 * DAY_MS);
    expect(await renewFacts(testServer.state)).toBe(1);
    expect(await (await porch.visit(`GET ${(await pointer()).facts}`)).text()).toContain('Star party');
    expect((await pointer()).revision).toBe(before.revision + 1);
    expect(((await (await other.visit('GET live.json')).json()) as PointerV1).facts).toBe(elsewhere);
    expect(await renewFacts(testServer.state)).toBe(0);
  });

  it('[H12] an override is in the pointer until its end, within 31 days, and a new one replaces it', async () => {
    await saveCalendar(testServer.state, actor(), night());
    const until = EVENING + HOUR_MS;
    expect(
      await setOverride(testServer.state, actor(), '00000night', {
        isOpen: false,
        until: EVENING + 32 * DAY_MS,
        reason: '',
      }),
    ).toMatchObject({ ok: false });
    await setOverride(testServer.state, actor(), '00000night', { isOpen: false, until, reason: 'Cloud' });
    expect((await pointer()).overrides).toEqual({ '00000night': { isOpen: false, until, reason: 'Cloud' } });
    await setOverride(testServer.state, actor(), '00000night', { isOpen: true, until, reason: '' });
    expect((await pointer()).overrides['00000night']?.isOpen).toBe(true);
    testServer.state.clock.moveTo(until);
    expect((await pointer()).overrides).toEqual({});
  });

  it('another site’s hours are out of reach, by name and by override', async () => {
    await saveCalendar(testServer.state, actor(), night());
    const other = await madePorch(testServer, 'elsewhere');
    const theirs = { siteId: other.siteId, personId: other.ownerId, at: EVENING };
    expect(
      await setOverride(testServer.state, theirs, '00000night', {
        isOpen: false,
        until: EVENING + HOUR_MS,
        reason: '',
      }),
    ).toMatchObject({
      ok: false,
    });
    expect((await pointer()).overrides).toEqual({});
  });
});

describe('quiet conversations', () => {
  it('[M4] twelve quiet hours end one, by the server; writing opens the same one again', async () => {
    const token = newSecret();
    const first = await porch.visit('POST messages', {
      body: madeMessage('Is it clear?', { newToken: token, clientId: 'a'.repeat(20) }),
    });
    expect(first.status).toBe(200);
    const id = ((await first.json()) as { conversation: { id: string } }).conversation.id;
    testServer.state.clock.moveTo(EVENING + 12 * HOUR_MS - 60_000);
    expect(await endQuiet(testServer.state)).toBe(0);
    testServer.state.clock.moveTo(EVENING + 12 * HOUR_MS + 60_000);
    expect(await endQuiet(testServer.state)).toBe(1);
    const talk = (await (await porch.visit('GET conversation', { token })).json()) as {
      conversation: { standing: string; endedBy: string };
    };
    expect(talk.conversation).toMatchObject({ standing: 'ended', endedBy: 'silence' });
    const again = await porch.visit('POST messages', {
      token,
      body: madeMessage('And now?', { clientId: 'b'.repeat(20) }),
    });
    const { conversation } = (await again.json()) as {
      conversation: { id: string; standing: string; waitingMs: number };
    };
    expect(conversation).toMatchObject({ id, standing: 'asked' });
    expect(conversation.waitingMs).toBeGreaterThan(EVENING + 12 * HOUR_MS); // what was answered by the silence waits no more
  });

  it('[M4] a word that comes after twelve quiet hours, before the server has looked, is a question anew', async () => {
    const token = newSecret();
    await porch.visit('POST messages', {
      body: madeMessage('Is it clear?', { newToken: token, clientId: 'a'.repeat(20) }),
    });
    testServer.state.clock.moveTo(EVENING + 13 * HOUR_MS);
    const again = await porch.visit('POST messages', {
      token,
      body: madeMessage('And now?', { clientId: 'b'.repeat(20) }),
    });
    expect(
      ((await again.json()) as { conversation: { askedMs: number } }).conversation.askedMs,
    ).toBeGreaterThanOrEqual(EVENING + 13 * HOUR_MS);
  });
});
