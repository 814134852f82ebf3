import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { makeClock } from '../live/clock';
import { makeDrawer } from './drawer';

const SCRIPT = 'dist/server/draw.mjs';
const FIT = { width: 160, height: 40, as: 'inside' } as const;
const BOUNDS = { ms: 60_000, bytes: 2 ** 30, atOnce: 2 };
const svg = (size: string, inside: string) =>
  Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" ${size}>${inside}</svg>`);
const picture = () =>
  sharp({ create: { width: 300, height: 80, channels: 3, background: '#7a2e5d' } })
    .png()
    .toBuffer();

/** Hours of noise, layer upon layer, that takes no room. */
const ENDLESS = svg(
  'width="320" height="80"',
  `<filter id="n" x="-9" y="-9" width="19" height="19">${'<feTurbulence baseFrequency="0.9" numOctaves="200"/>'.repeat(300)}</filter>` +
    '<rect width="320" height="80" filter="url(#n)"/>'.repeat(3000),
);

describe('the drawer', () => {
  it('[threat 13] draws in a process of its own, and what it drew comes back whole', async () => {
    const drawn = await makeDrawer(SCRIPT, makeClock(), BOUNDS).twice('ines', await picture(), FIT);
    if (!drawn.ok) throw new Error(JSON.stringify(drawn.errors));
    const { twice } = drawn.value;
    expect(await sharp(twice.bytes).metadata()).toMatchObject({ format: 'webp', width: twice.width });
    expect([drawn.value.darkest, drawn.value.lightest]).toEqual(['#7a2e5d', '#7a2e5d']);
  });

  it('[threat 13] what takes too long is killed, and the next one is drawn', async () => {
    const drawer = makeDrawer(SCRIPT, makeClock(), { ...BOUNDS, ms: 1500, atOnce: 1 });
    expect(await drawer.twice('ines', ENDLESS, FIT)).toMatchObject({
      ok: false,
      errors: { '': expect.stringContaining('takes too long') as string },
    });
    expect((await makeDrawer(SCRIPT, makeClock(), BOUNDS).twice('ines', await picture(), FIT)).ok).toBe(true);
  });

  it('[threat 13] what takes too much memory is killed', async () => {
    const drawer = makeDrawer(SCRIPT, makeClock(), { ...BOUNDS, bytes: 1024 });
    expect((await drawer.twice('ines', await picture(), FIT)).ok).toBe(false);
  });

  it('[threat 15] a person has one at a time; those of others wait for their place', async () => {
    const drawer = makeDrawer(SCRIPT, makeClock(), BOUNDS);
    const sent = await picture();
    const of = (personId: string) => drawer.twice(personId, sent, FIT);
    const drawn = await Promise.all(['ines', 'ines', 'rui', 'ana', 'marta', 'joao'].map(of));
    expect(drawn.map(({ ok }) => ok)).toEqual([true, false, true, true, true, true]);
    expect((await of('ines')).ok).toBe(true);
  });

  it('[threat 13] a drawing is measured before it is drawn: one as long as a street is none, and draws no process down', async () => {
    const drawer = makeDrawer(SCRIPT, makeClock(), BOUNDS);
    for (const size of ['width="1" height="900000000"', 'width="900000000" height="1"'])
      expect((await drawer.twice('ines', svg(size, '<rect width="1" height="1"/>'), FIT)).ok, size).toBe(
        false,
      );
    const slim = svg('width="3200" height="80"', '<rect width="3200" height="80"/>');
    expect((await drawer.twice('ines', slim, FIT)).ok).toBe(true);
  });
});
