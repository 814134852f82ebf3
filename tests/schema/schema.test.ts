import { readFileSync } from 'node:fs';
import { Ajv } from 'ajv';
import { describe, expect, it } from 'vitest';
import { applyPatches } from '../../src/core/draft/patch';
import type { Patch } from '../../src/core/model/json';
import { demoDesign } from '../../src/demo/design';
import { defaultDesign } from '../../src/core/model/defaults';
import { newId } from '../../src/server/ids';
import { makeSchema } from './make-schema';

const FILE = 'docs/design.schema.json';
const written = readFileSync(FILE, 'utf8');
const fits = new Ajv({ allErrors: true }).compile(JSON.parse(written) as object);
const ids = () => newId(1);
const demo = demoDesign(
  defaultDesign('Farrow Isle', 'en', '#7a2e5d', ids),
  {
    teams: { night: ids(), schools: ids(), loans: ids() },
    calendars: { night: ids(), office: ids() },
    logo: { once: 'a'.repeat(40), twice: 'b'.repeat(40), width: 60, height: 40 },
  },
  ids,
);

describe('the schema of a design', () => {
  it('is the one the model makes: after a change of the model run `npm run schema`', () => {
    expect(written).toBe(makeSchema());
  });

  it('takes the demo’s design, with everything in it', () => {
    fits(JSON.parse(JSON.stringify(demo)));
    expect(fits.errors ?? []).toEqual([]);
  });

  it('refuses what is out of bounds, unknown, missing or of another kind, at its place', () => {
    const fault = (...patches: Patch[]) => {
      fits(JSON.parse(JSON.stringify(applyPatches(demo, patches).value)));
      return (fits.errors ?? []).map(({ instancePath, keyword }) => `${instancePath} ${keyword}`);
    };
    const at = ['widgets', 0];
    expect(fault({ op: 'set', path: [...at, 'timings', 'slowReplyAfter'], value: 3 })).toEqual([
      '/widgets/0/timings/slowReplyAfter minimum',
    ]);
    expect(fault({ op: 'set', path: [...at, 'look', 'brand'], value: 'plum' })).toEqual([
      '/widgets/0/look/brand pattern',
    ]);
    expect(fault({ op: 'set', path: [...at, 'colour'], value: 1 })).toEqual([
      '/widgets/0 additionalProperties',
    ]);
    expect(fault({ op: 'remove', path: ['limits'] })).toEqual([' required']);
    expect(fault({ op: 'set', path: [...at, 'behaviours', 'closed'], value: 'sing' })).toEqual([
      '/widgets/0/behaviours/closed enum',
    ]);
  });
});
