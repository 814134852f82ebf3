import { describe, expect, it } from 'vitest';
import { invitations } from '../../../tests/made/invitations';
import { madeDesign, madeHearer, madeSite, pageRule } from '../../../tests/made/site';
import { WIDGET_STATES, type WidgetState } from '../model/moment';
import { NOT_PUBLISHED, OUR_TEXTS, TEXT_KEYS } from '../words/catalogue';
import { formatText } from '../words/format-text';
import { publish } from './publish';

const fileOf = (...args: Parameters<typeof publish>) => {
  const made = publish(...args);
  if (!made.ok) throw new Error(`Expected a file, got ${JSON.stringify(made.errors)}.`);
  return made.value;
};
const wordsOf = (
  locale: string,
  key: 'greeting' | 'status',
  texts: Parameters<typeof madeDesign>[0] = {},
) => {
  const design = madeDesign(texts, { locales: ['en', 'pt', 'pt-BR', 'de', 'fr'] });
  const text = fileOf(design, 1, locale).widgets[0]?.words[key];
  return text === undefined ? '' : formatText(text, {}, madeHearer({ locale }));
};

describe('publish', () => {
  it('[T2] the owner’s text in the locale, else in its base, else ours in either', () => {
    expect(
      wordsOf('pt-BR', 'greeting', { texts: { 'pt-BR': { greeting: 'Oi' }, pt: { greeting: 'Olá' } } }),
    ).toBe('Oi');
    expect(
      wordsOf('pt-BR', 'greeting', { texts: { pt: { greeting: 'Olá' }, en: { greeting: 'Hello' } } }),
    ).toBe('Olá');
    expect(wordsOf('pt-BR', 'greeting', { texts: { en: { greeting: 'Hello' } } })).toBe(
      OUR_TEXTS['pt']?.greeting,
    );
  });

  it('[T2] a language we have no texts in falls back to the site’s default, text by text', () => {
    expect(wordsOf('fr', 'greeting', { texts: { en: { greeting: 'Hello' } } })).toBe('Hello');
    expect(wordsOf('fr', 'status', { texts: { fr: { greeting: 'Bonsoir' } } })).toBe(
      OUR_TEXTS['en']?.['status#in'],
    );
  });

  it('[T2] the file of a locale has every text that something says, and none that nothing does', () => {
    expect(Object.keys(fileOf(madeDesign(), 1, 'en').widgets[0]?.words ?? {})).toEqual(
      TEXT_KEYS.filter((key) => !NOT_PUBLISHED.has(key)),
    );
  });

  it('[T9] the direction comes with the locale’s file', () => {
    expect([
      fileOf(madeDesign(), 1, 'ar').dir,
      fileOf(madeDesign(), 1, 'ar-EG').dir,
      fileOf(madeDesign(), 1, 'en').dir,
    ]).toEqual(['rtl', 'rtl', 'ltr']);
  });

  it('[T5] a text with a name it does not know is refused, with its widget, locale and key', () => {
    const made = publish(madeDesign({ texts: { en: { greeting: 'Good {evening}' } } }), 1, 'en');
    expect(made).toMatchObject({
      ok: false,
      errors: [{ widget: 'main', locale: 'en', key: 'greeting', code: 'unknown-variable', at: 5 }],
    });
  });

  it('[T6] an owner’s text may not use a value that may be unknown where no second text stands', () => {
    const without = publish(
      madeDesign({ texts: { en: { 'status#nearby/without': 'Within {promise}' } } }),
      1,
      'en',
    );
    expect(without).toMatchObject({ ok: false, errors: [{ code: 'needs-without', name: 'promise' }] });
  });

  it('holds no secret, no draft and no name of a person: only what is listed here', () => {
    const file = fileOf(
      madeDesign({ pages: { showOn: [], neverOn: [pageRule('exact', '/privacy')] } }),
      7,
      'en',
    );
    expect(Object.keys(file)).toEqual(['v', 'version', 'locale', 'dir', 'siteName', 'widgets', 'limits']);
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
        'style',
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

  const ownCase = {
    id: '0000case',
    key: 'greeting' as const,
    when: [['visit', 'first']] as const,
    texts: { en: 'First time?' },
    without: {},
  };

  it('[T4] cases of the owner’s own stand before ours, each with its fallback', () => {
    const file = fileOf(madeDesign({ cases: [ownCase] }), 1, 'de');
    const text = file.widgets[0]?.words['greeting'] ?? '';
    expect(formatText(text, {}, madeHearer({ visit: 'first', locale: 'de' }))).toBe('First time?');
    expect(formatText(text, {}, madeHearer({ visit: 'returning', locale: 'de' }))).toBe(
      OUR_TEXTS['de']?.['greeting#returning'],
    );
  });

  it('the launcher has no words in the states the owner chose, for nobody; its accessible name stays', () => {
    const plain = madeDesign({ cases: [{ ...ownCase, key: 'launcher.words' }] });
    const [widget] = plain.widgets;
    if (widget === undefined) throw new Error('Expected a widget.');
    const launcher = { ...widget.launcher, noWordsIn: ['nobody', 'closed'] as const };
    const { words } = fileOf({ ...plain, widgets: [{ ...widget, launcher }] }, 1, 'de').widgets[0] ?? {};
    const said = (key: string, state: WidgetState) =>
      formatText(
        words?.[key] ?? '?',
        { siteName: 'Farrow Isle' },
        madeHearer({ visit: 'first', locale: 'de', state }),
      );
    expect(WIDGET_STATES.map((state) => said('launcher.words', state))).toEqual([
      ...Array<string>(3).fill('First time?'),
      '',
      '',
    ]);
    expect(said('launcher.name', 'closed')).toContain('Farrow Isle');
  });

  it('[T6] a case of one’s own with a value that may be unknown needs its second text too', () => {
    const asks = { ...ownCase, key: 'nobodyHome' as const, texts: { en: 'Back {openingTime}' } };
    expect(publish(madeDesign({ cases: [asks] }), 1, 'en')).toMatchObject({
      ok: false,
      errors: [{ key: 'case:0000case', code: 'needs-without' }],
    });
    expect(publish(madeDesign({ cases: [{ ...asks, without: { en: 'Back soon' } }] }), 1, 'en').ok).toBe(
      true,
    );
  });

  it('[I2] an invitation is published with its words in the locale; one that is off stays at home', () => {
    const texts = { en: 'Clear skies', pt: 'Céu limpo' };
    const list = invitations({ texts }, { isOn: false, texts });
    const [widget] = fileOf(madeDesign(list, { locales: ['en', 'pt'] }), 1, 'pt').widgets;
    expect(widget?.invitations.map(([id]) => id)).toEqual(['invitation-a']);
    expect(widget?.words['invitation:invitation-a']).toBe('Céu limpo');
    expect(Object.keys(widget?.words ?? {})).not.toContain('invitation:invitation-b');
  });

  it('[P11] a pattern that is refused is told at its place, and all patterns of a site together have 300 states', () => {
    const bad = publish(
      madeDesign({ pages: { showOn: [pageRule('expression', '/a(?=b)')], neverOn: [] } }),
      1,
      'en',
    );
    expect(bad).toMatchObject({
      ok: false,
      errors: [{ key: 'pages', name: '/a(?=b)', code: 'look-around' }],
    });
    const many = Array.from({ length: 4 }, (_, place) => ({
      ...pageRule('expression', `${'abcdefghij'.repeat(8)}${place}`),
      id: `00000000${place}`,
    }));
    expect(publish(madeDesign({ pages: { showOn: many.slice(0, 3), neverOn: [] } }), 1, 'en').ok).toBe(true);
    expect(publish(madeDesign({ pages: { showOn: many, neverOn: [] } }), 1, 'en')).toMatchObject({
      ok: false,
      errors: [{ code: 'too-many-states-on-site' }],
    });
  });
});
