import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { decide } from '../../src/core/decide/decide';
import type { DesignFileV1 } from '../../src/core/wire/design-file';
import type { FactsFileV1 } from '../../src/core/wire/facts-file';
import type { PointerV1 } from '../../src/core/wire/pointer';
import { formatText } from '../../src/core/words/format-text';
import { madeHearer, madeVisit } from '../made/site';

const sample = <T>(name: string): T =>
  JSON.parse(readFileSync(join(import.meta.dirname, 'v1', name), 'utf8')) as T;

describe('wire version 1, frozen', () => {
  const site = {
    design: sample<DesignFileV1>('design.pt.json'),
    facts: sample<FactsFileV1>('facts.json'),
    pointer: sample<PointerV1>('live.json'),
  };

  it('[L8] a site that was published by the first program is still decided', () => {
    const visit = madeVisit({ page: { address: 'http://localhost:4320/tonight' } });
    expect(decide(site, visit)).toMatchObject({
      widget: 'everywhere',
      state: 'nobody',
      moment: 'passing-by',
    });
    expect(decide(site, madeVisit({ page: { address: 'http://localhost:4320/privacy' } })).widget).toBeNull();
    expect(decide(site, { ...visit, isWindowOpen: true }).moment).toBe('nobody-home');
  });

  it('and its words are still said', () => {
    const words = site.design.widgets[0]?.words ?? {};
    const reader = madeHearer({ state: 'nobody', locale: 'pt' });
    expect(formatText(words['launcher.words'] ?? '', {}, reader)).toBe('Deixar uma nota');
    expect(formatText(words['launcher.unread'] ?? '', { count: 2, siteName: 'x' }, reader)).toContain(
      '2 mensagens novas',
    );
  });
});
