import { describe, expect, it } from 'vitest';
import { EVENING, madeDesign, madeHearer } from '../../../tests/made/site';
import { applyPatches } from '../draft/patch';
import { publish } from '../publish/publish';
import type { OwnCase, Widget } from '../model/design';
import { OUR_TEXTS } from './catalogue';
import { type Reader, formatText } from './format-text';
import { casesOf, movedCase, newCase, unreadCases } from './cases';
import {
  hasOursBeneath,
  pickedWording,
  wordingFault,
  wordingOf,
  wordingPatches,
  type WordingKey,
} from './wordings';

const own = (id: string, when: OwnCase['when'], change: Partial<OwnCase> = {}): OwnCase => ({
  id,
  key: 'greeting',
  when,
  texts: { en: id },
  without: {},
  ...change,
});
const RETURNING = ['visit', 'returning'] as const;
const made = (change: Partial<Widget> = {}) => {
  const design = madeDesign(change, { locales: ['en', 'pt'] });
  return { design, widget: design.widgets[0] as Widget };
};

describe('pickedWording', () => {
  const picked = (change: Partial<Widget>, key: 'greeting' | 'nobodyHome', reader = {}, values = {}) => {
    const { design, widget } = made(change);
    return pickedWording(design, widget, key, madeHearer(reader), values);
  };

  it('[T4] the owner’s own cases come before ours, in their order', () => {
    const cases = [own('portuguese', [['language', 'pt']]), own('again', [RETURNING])];
    expect(picked({ cases }, 'greeting', { visit: 'returning' })).toBe('case:again');
    expect(picked({ cases }, 'greeting', { visit: 'returning', locale: 'pt' })).toBe('case:portuguese');
    expect(picked({}, 'greeting', { visit: 'returning' })).toBe('greeting#returning');
    expect(picked({ cases }, 'greeting', { visit: 'first' })).toBe('greeting');
  });

  it('[T6] second words only where the words themselves lack a value: closed with an opening time lacks no holiday’s name', () => {
    expect(picked({}, 'nobodyHome', { state: 'closed' }, { openingTime: EVENING })).toBe('nobodyHome#closed');
    expect(picked({}, 'nobodyHome', { state: 'closed' })).toBe('nobodyHome#closed/without');
    const cases = [
      own('night', [['state', 'closed']], {
        key: 'nobodyHome',
        texts: { en: 'Back {openingTime}.' },
        without: { en: 'Back.' },
      }),
    ];
    expect(picked({ cases }, 'nobodyHome', { state: 'closed' })).toBe('case:night/without');
    const plain = [own('night', [['state', 'closed']], { key: 'nobodyHome', without: { en: 'never said' } })];
    expect(picked({ cases: plain }, 'nobodyHome', { state: 'closed' })).toBe('case:night');
  });
});

describe('texts that promise an e-mail', () => {
  const PROMISING = [
    'slowReply.offer',
    'slowReply.yes',
    'slowReply.done',
    'nobodyHome',
    'noteLeft.got',
  ] as const;
  const said = (change: Partial<Widget>, reader: Partial<Reader>) => {
    const { design, widget } = made(change);
    const file = publish(design, 1, 'en');
    const words = file.ok ? (file.value.widgets[0]?.words ?? {}) : {};
    const hearer = madeHearer(reader);
    const values = { openingTime: EVENING, email: 'visitor@example.org' };
    return PROMISING.map((key) => {
      const shown = formatText(words[key] ?? '', values, hearer);
      // The stage edits what the visitor reads.
      const picked = wordingOf(design, widget, 'en', pickedWording(design, widget, key, hearer, values));
      if (!picked.includes('{')) expect(shown).toBe(picked);
      return shown;
    });
  };
  const PROMISE = /e-mail|@/;

  it('[T10] say nothing of one as long as no letters go out, in any language and any state', () => {
    for (const state of ['in', 'closed', 'nobody'] as const) {
      for (const words of said({}, { state, sendsLetters: false })) expect(words).not.toMatch(PROMISE);
      for (const words of said({}, { state, sendsLetters: true })) expect(words).toMatch(PROMISE);
    }
    for (const [locale, texts] of Object.entries(OUR_TEXTS))
      for (const [key, words] of Object.entries(texts))
        if (key.endsWith('/no-email')) expect(words, `${locale} ${key}`).not.toMatch(/mail|بريد|\{/i);
  });

  it('[T10] an owner’s own words stay where they gave no second ones; a case of theirs goes first as ever', () => {
    const texts = { en: { nobodyHome: 'Leave a word, we write back by e-mail.' } };
    expect(said({ texts }, { state: 'nobody', sendsLetters: false })).toContain(texts.en.nobodyHome);
    const both = { en: { ...texts.en, 'nobodyHome/no-email': 'Leave a word.' } };
    expect(said({ texts: both }, { state: 'nobody', sendsLetters: false })).toContain('Leave a word.');
    const cases = [own('dusk', [['state', 'nobody']], { key: 'nobodyHome' })];
    expect(said({ cases }, { state: 'nobody', sendsLetters: false })).toContain('dusk');
  });
});

describe('wordingPatches', () => {
  const invitation = madeDesign().widgets[0]?.invitations.find(({ defaultText }) => defaultText !== null);
  if (invitation === undefined) throw new Error('Expected an invitation of ours.');
  const asked: WordingKey = `invitation:${invitation.id}`;
  const cases = [
    own('first', [RETURNING]),
    own('second', [['language', 'pt']], { without: { en: 'without' } }),
  ];

  it('every wording says what was written into it, in that language alone, and ours again where it had ours', () => {
    for (const key of [
      'greeting',
      'nobodyHome#closed/without',
      'case:second',
      'case:second/without',
      asked,
    ] as const) {
      const { design, widget } = made({ cases, texts: {} });
      const written = applyPatches(design, wordingPatches(design, 0, 'pt', key, 'Olá')).value;
      const after = written.widgets[0] as Widget;
      expect([key, wordingOf(written, after, 'pt', key)]).toEqual([key, 'Olá']);
      expect(wordingOf(written, after, 'en', key)).toBe(wordingOf(design, widget, 'en', key));
      if (!hasOursBeneath(after, 'pt', key)) continue;
      const back = applyPatches(written, wordingPatches(written, 0, 'pt', key, null)).value;
      expect(wordingOf(back, back.widgets[0] as Widget, 'pt', key)).toBe(
        wordingOf(design, widget, 'pt', key),
      );
    }
    expect(hasOursBeneath(made({ cases }).widget, 'en', 'case:second')).toBe(false);
  });

  it('of a wording that is gone: nothing', () => {
    expect(wordingPatches(made().design, 0, 'en', 'case:gone', 'x')).toEqual([]);
    expect(wordingPatches(made().design, 0, 'en', 'invitation:gone', 'x')).toEqual([]);
  });
});

describe('wordingFault', () => {
  it('[T6] a value that may be unknown is taken only where there are second words, and never in those', () => {
    const { design, widget } = made({
      cases: [own('night', [RETURNING], { key: 'nobodyHome', without: { en: 'Back.' } })],
    });
    const fault = (key: WordingKey, text: string) =>
      wordingFault(design, widget, 'en', key, text)?.code ?? null;
    expect(fault('nobodyHome', 'Back {openingTime}.')).toBe('needs-without');
    expect(fault('nobodyHome#closed', 'Back {openingTime}.')).toBe(null);
    expect(fault('nobodyHome#closed/without', 'Back {openingTime}.')).toBe('needs-without');
    expect(fault('case:night', 'Back {openingTime}.')).toBe(null);
    expect(fault('greeting', 'Good {weather}.')).toBe('unknown-variable');
  });
});

describe('words that would leave the draft unfit to be drawn', () => {
  it('an invitation of the owner’s own cannot say nothing; ours gives way to ours again, and one that only stirs says nothing', () => {
    const [first] = madeDesign().widgets[0]?.invitations ?? [];
    if (first === undefined) throw new Error('Expected an invitation.');
    const fault = (change: Partial<typeof first>) => {
      const { design, widget } = made({ invitations: [{ ...first, ...change }] });
      return wordingFault(design, widget, 'en', `invitation:${first.id}`, '')?.code ?? null;
    };
    expect([fault({ defaultText: null }), fault({ defaultText: null, approach: 'stir' }), fault({})]).toEqual(
      ['empty-text', null, null],
    );
  });

  it('[T6] second words cannot be emptied while the first ones need them', () => {
    const night = own('night', [RETURNING], {
      key: 'nobodyHome',
      texts: { en: 'Back {openingTime}.' },
      without: { en: 'Back soon.' },
    });
    const fault = (one: OwnCase) => {
      const { design, widget } = made({ cases: [one] });
      return wordingFault(design, widget, 'en', 'case:night/without', '')?.code ?? null;
    };
    expect(fault(night)).toBe('needs-without');
    expect(fault({ ...night, texts: { en: 'Back.' } })).toBeNull();
  });

  it('law: what is let through, one text after another, can always be published', () => {
    const texts = [
      '',
      'Back {openingTime}.',
      'Back.',
      '{siteName}',
      '{nobody}',
      '{',
      '{openingTime, time, short}',
    ];
    const night = own('night', [RETURNING], {
      key: 'nobodyHome',
      texts: { en: 'Back.' },
      without: { en: 'Back.' },
    });
    const invitations = (madeDesign().widgets[0]?.invitations ?? []).map((one) => ({
      ...one,
      isOn: true,
      defaultText: null,
      texts: { en: 'Hello' },
    }));
    const asked: WordingKey = `invitation:${invitations[0]?.id}`;
    const keys: WordingKey[] = [
      'greeting',
      'nobodyHome',
      'nobodyHome#closed',
      'nobodyHome#closed/without',
      'case:night',
      'case:night/without',
      asked,
    ];
    let stored = 0;
    for (const first of keys)
      for (const second of keys)
        for (const one of texts)
          for (const other of texts) {
            let { design } = made({ cases: [night], invitations });
            for (const [key, text] of [
              [first, one],
              [second, other],
            ] as const) {
              if (wordingFault(design, design.widgets[0] as Widget, 'en', key, text) !== null) continue;
              design = applyPatches(design, wordingPatches(design, 0, 'en', key, text)).value;
              stored++;
            }
            const done = publish(design, 1, 'en');
            if (!done.ok) expect([first, one, second, other, done.errors]).toEqual([]);
          }
    expect(stored).toBeGreaterThan(2000);
  });
});

describe('cases', () => {
  it('of a text: own, ours, otherwise', () => {
    const { widget } = made({ cases: [own('a', [RETURNING]), own('b', [RETURNING], { key: 'status' })] });
    expect(casesOf(widget, 'greeting').map(({ wording, isOwn }) => [wording, isOwn])).toEqual([
      ['case:a', true],
      ['greeting#returning', false],
      ['greeting', false],
    ]);
  });

  it('a new one says in every language what is said otherwise, and can be published as it is', () => {
    const { design, widget } = made();
    const one = newCase(design, widget, 'nobodyHome', 'new');
    expect(one.texts).toEqual({
      en: wordingOf(design, widget, 'en', 'nobodyHome'),
      pt: wordingOf(design, widget, 'pt', 'nobodyHome'),
    });
    const with_ = { ...widget, cases: [one] };
    expect(wordingFault(design, with_, 'pt', 'case:new', 'Voltamos {openingTime}.')).toBe(null);
  });

  it('one is moved over its neighbour of the same text, not over those of others', () => {
    const cases = [
      own('a', [RETURNING]),
      own('x', [RETURNING], { key: 'status' }),
      own('b', [['language', 'pt']]),
    ];
    const { design, widget } = made({ cases });
    const order = (id: string, by: -1 | 1) =>
      applyPatches(design, movedCase(widget, 0, id, by)).value.widgets[0]?.cases.map((one) => one.id);
    expect(order('b', -1)).toEqual(['b', 'x', 'a']);
    expect(order('a', 1)).toEqual(['b', 'x', 'a']);
    expect(order('a', -1)).toEqual(['a', 'x', 'b']);
    expect(order('x', 1)).toEqual(['a', 'x', 'b']);
  });

  it('nobody hears one that asks what cannot be, or that others say before: together, not each alone', () => {
    const unread = (cases: OwnCase[], change: Partial<Widget> = {}) => {
      const { design, widget } = made({ cases, calendarId: 'night', ...change });
      return unreadCases(design, widget).map(({ id }) => id);
    };
    expect(unread([own('a', [RETURNING, ['visit', 'first']])])).toEqual(['a']);
    expect(unread([own('a', [['language', 'de']])])).toEqual(['a']);
    expect(
      unread([own('en', [['language', 'en']]), own('pt', [['language', 'pt']]), own('all', [RETURNING])]),
    ).toEqual(['all']);
    expect(unread([own('all', [RETURNING]), own('en', [['language', 'en']])])).toEqual([]);
    const noted = [own('a', [['state', 'in']], { key: 'nobodyHome' })];
    expect(unread(noted)).toEqual(['a']);
    const { behaviours } = made().widget;
    expect(unread(noted, { behaviours: { ...behaviours, in: 'note' } })).toEqual([]);
    expect(
      unread([own('a', [['closed-by', 'holiday']], { key: 'nobodyHome' })], { calendarId: null }),
    ).toEqual(['a']);
  });
});
