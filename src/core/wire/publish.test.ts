import { describe, expect, it } from 'vitest';
import { madeDesign, madeSite, pageRule } from '../../../tests/made/site';
import { OUR_TEXTS, TEXT_KEYS } from '../words/catalogue';
import { say } from '../words/say';
import { publish } from './publish';

const fileOf = (...args: Parameters<typeof publish>) => {
  const made = publish(...args);
  if (!made.ok) throw new Error(`Expected a file, got ${JSON.stringify(made.errors)}.`);
  return made.value;
};
const wordsOf = (locale: string, key: 'greeting' | 'status', texts: Parameters<typeof madeDesign>[0] = {}) => {
  const design = madeDesign(texts, { locales: ['en', 'pt', 'pt-BR', 'de', 'fr'] });
  const text = fileOf(design, 1, locale).widgets[0]?.words[key];
  return text === undefined ? '' : say(text, {}, { state: 'in', visit: 'unknown', locale });
};

describe('publish', () => {
  it('[T2] the owner’s text in the locale, else in its base, else ours in either', () => {
    expect(wordsOf('pt-BR', 'greeting', { texts: { 'pt-BR': { greeting: 'Oi' }, pt: { greeting: 'Olá' } } })).toBe('Oi');
    expect(wordsOf('pt-BR', 'greeting', { texts: { pt: { greeting: 'Olá' }, en: { greeting: 'Hello' } } })).toBe('Olá');
    expect(wordsOf('pt-BR', 'greeting', { texts: { en: { greeting: 'Hello' } } })).toBe(OUR_TEXTS['pt']?.greeting);
  });

  it('[T2] a language we have no texts in falls back to the site’s default, text by text', () => {
    expect(wordsOf('fr', 'greeting', { texts: { en: { greeting: 'Hello' } } })).toBe('Hello');
    expect(wordsOf('fr', 'status', { texts: { fr: { greeting: 'Bonsoir' } } })).toBe(OUR_TEXTS['en']?.['status#in']);
  });

  it('[T2] the file of a locale has every text', () => {
    expect(Object.keys(fileOf(madeDesign(), 1, 'en').widgets[0]?.words ?? {})).toEqual(TEXT_KEYS);
  });

  it('[T9] the direction comes with the locale’s file', () => {
    expect([fileOf(madeDesign(), 1, 'ar').dir, fileOf(madeDesign(), 1, 'ar-EG').dir, fileOf(madeDesign(), 1, 'en').dir]).toEqual([
      'rtl',
      'rtl',
      'ltr',
    ]);
  });

  it('[T5] a text with a name it does not know is refused, with its widget, locale and key', () => {
    const made = publish(madeDesign({ texts: { en: { greeting: 'Good {evening}' } } }), 1, 'en');
    expect(made).toMatchObject({
      ok: false,
      errors: [{ widget: 'everywhere', locale: 'en', key: 'greeting', code: 'unknown-variable', at: 5 }],
    });
  });

  it('[T6] an owner’s text may not use a value that may be unknown where no second text stands', () => {
    const without = publish(madeDesign({ texts: { en: { 'status#nearby/without': 'Within {promise}' } } }), 1, 'en');
    expect(without).toMatchObject({ ok: false, errors: [{ code: 'needs-without', name: 'promise' }] });
  });

  it('holds no secret, no draft and no name of a person: only what wire.md lists', () => {
    const file = fileOf(madeDesign({ pages: { showOn: [], neverOn: [pageRule('exact', '/privacy')] } }), 7, 'en');
    expect(Object.keys(file)).toEqual(['v', 'version', 'locale', 'dir', 'siteName', 'widgets']);
    expect(Object.keys(file.widgets[0] ?? {}).sort()).toEqual(
      [
        'calendar',
        'deeds',
        'forms',
        'id',
        'invitations',
        'key',
        'launcher',
        'measures',
        'never',
        'palette',
        'place',
        'scheme',
        'show',
        'teams',
        'timings',
        'words',
      ].sort(),
    );
    expect(file.widgets[0]?.never).toEqual([['exact', 'path', '/privacy', false]]);
  });

  it('[D5] the stage and the server get the same file for the same draft', () => {
    expect(JSON.stringify(madeSite().design)).toBe(JSON.stringify(fileOf(madeDesign(), 1, 'en')));
  });
});
