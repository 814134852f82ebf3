import { describe, expect, it } from 'vitest';
import { madeDesign, madeHearer } from '../../../tests/made/site';
import type { Widget } from '../model/design';
import { TEAM_STATES } from '../model/moment';
import type { CaseKey } from '../model/text-keys';
import { MAYBE_UNKNOWN, OUR_TEXTS, TEXT_KEYS, entryOf, isCaseKey, textKeyOf } from './catalogue';
import { compileText } from './compile';
import { pickedWording } from './wordings';

const LOCALES = Object.keys(OUR_TEXTS);
const KEYS = Object.keys(OUR_TEXTS['en'] ?? {}) as CaseKey[];
const namesIn = (text: string): string[] =>
  [...new Set([...text.matchAll(/\{(\w+)(?=[,}])/g)].map(([, name]) => name ?? ''))].sort();

describe('the catalogue', () => {
  it.each(LOCALES)(
    'is complete in %s: every text says something and compiles with its variables',
    (locale) => {
      for (const key of KEYS) {
        const text = OUR_TEXTS[locale]?.[key] ?? '';
        expect(text.trim(), `${locale} ${key}`).not.toBe('');
        expect(compileText(text, entryOf(textKeyOf(key)).variables).ok, `${locale} ${key}`).toBe(true);
      }
    },
  );

  it.each(LOCALES)('uses in %s the very variables of the English text', (locale) => {
    const odd = KEYS.filter(
      (key) =>
        namesIn(OUR_TEXTS[locale]?.[key] ?? '').join() !== namesIn(OUR_TEXTS['en']?.[key] ?? '').join(),
    );
    expect(odd).toEqual([]);
  });

  it.each(LOCALES)('keeps every text in %s within what its place holds', (locale) => {
    const long = KEYS.filter(
      (key) => (OUR_TEXTS[locale]?.[key] ?? '').length > entryOf(textKeyOf(key)).atMost,
    );
    expect(long).toEqual([]);
  });

  it.each(['pt', 'de', 'ar'])('has every plural form that %s asks for', (locale) => {
    const forms = new Intl.PluralRules(locale).resolvedOptions().pluralCategories;
    for (const key of KEYS) {
      const text = OUR_TEXTS[locale]?.[key] ?? '';
      if (!text.includes(', plural,')) continue;
      for (const form of forms) expect(text, `${locale} ${key}`).toContain(`${form} {`);
    }
  });

  it('[T6] a text with a value that may be unknown has another without any', () => {
    for (const key of KEYS) {
      const unknown = namesIn(OUR_TEXTS['en']?.[key] ?? '').filter((name) => MAYBE_UNKNOWN.includes(name));
      if (key.endsWith('/without')) expect(unknown, key).toEqual([]);
      else if (unknown.length > 0) expect(isCaseKey(`${key}/without`), key).toBe(true);
    }
  });

  it('[S4] no text speaks of a person in nobody, closed or unknown', () => {
    for (const key of ['launcher.words', 'launcher.name', 'status', 'nobodyHome'] as const)
      for (const state of ['nobody', 'closed'] as const) {
        const design = madeDesign();
        const said = pickedWording(design, design.widgets[0] as Widget, key, madeHearer({ state }), {});
        expect(OUR_TEXTS['en']?.[said as CaseKey], said).not.toMatch(/somebody is|ask /i);
      }
  });

  it('every key with a case or without a value belongs to a text and a case that exist', () => {
    for (const key of KEYS) {
      const text = textKeyOf(key);
      expect(TEXT_KEYS).toContain(text);
      const id = /#(\w+)/.exec(key)?.[1];
      if (id !== undefined)
        expect(
          entryOf(text).cases.map((one) => one.id),
          key,
        ).toContain(id);
    }
    for (const text of TEXT_KEYS)
      for (const { id } of entryOf(text).cases)
        expect(isCaseKey(`${text}#${id}`), `${text}#${id}`).toBe(true);
  });

  it('no name of a kind is a state of a team by mistake', () => {
    const states = TEXT_KEYS.flatMap((key) =>
      entryOf(key).cases.flatMap(({ when }) => when.filter(([kind]) => kind === 'state')),
    );
    for (const [, ...named] of states)
      for (const state of named) expect([...TEAM_STATES, 'closed']).toContain(state);
  });
});
