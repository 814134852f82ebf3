import { beforeEach, describe, expect, it } from 'vitest';
import {
  type MadePorch,
  type TestServer,
  madeMember,
  makeTestServer,
  madePorch,
} from '../../../tests/made/test-server';
import { openSession } from '../accounts/sign-in';
import { endSession } from '../accounts/sign-out';
import { hashOf } from '../ids';

let testServer: TestServer;
let porch: MadePorch;
beforeEach(async () => {
  testServer = await makeTestServer();
  porch = await madePorch(testServer, 'farrowisle');
});

/** Rui's stream, read to its end. */
async function streamOfRui() {
  const { personId, secret } = await madeMember(testServer, porch, 'responder', 'rui@farrowisle.example');
  const response = await porch.desk('GET stream', undefined, secret);
  return {
    personId,
    secret,
    whole: response.text(),
    again: async () => (await porch.desk('GET stream', undefined, secret)).status,
  };
}

describe('a desk’s stream', () => {
  it('[threat 2] ends at once with the session it was opened under', async () => {
    const rui = await streamOfRui();
    await endSession(testServer.state, hashOf(rui.secret));
    expect(await rui.whole).toContain('event: signed-out');
    expect(await rui.again()).toBe(401);
  });

  it('[threat 3] ends when the person ends their other sessions', async () => {
    const other = await openSession(testServer.state, porch.ownerId, 'a phone', testServer.state.clock.now());
    const whole = (await porch.desk('GET stream', undefined, other)).text();
    await porch.desk('POST account/sessions/end-others', {});
    expect(await whole).toContain('event: signed-out');
  });

  it.each([
    ['whose session has run out', 'event: signed-out'],
    ['who is no member any more', 'event: rights\ndata: {"role":null}'],
  ])('[threat 2] ends by the next ping for somebody %s', async (what, last) => {
    const rui = await streamOfRui();
    if (what.startsWith('who is'))
      await testServer.db.deleteFrom('site_member').where('person_id', '=', rui.personId).execute();
    else await testServer.db.updateTable('session').set({ expires_ms: 1 }).execute();
    testServer.state.clock.moveTo(testServer.state.clock.now() + 21_000);
    expect(await rui.whole).toContain(last);
  });
});
