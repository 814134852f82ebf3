import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { calendar, everyDay } from '../../../tests/made/hours';
import { all, any, condition, invitations, not } from '../../../tests/made/invitations';
import { DESK, EVENING, madeDesign, madeSite, pageRule } from '../../../tests/made/site';
import type { Condition } from '../model/condition';
import type { Widget } from '../model/design';
import type { PageRule } from '../model/page-rule';
import { toWireRule } from '../pages/compile-rules';
import { ruleTakes } from '../pages/match';
import type { Field } from '../model/form';
import type { Look } from '../model/look';
import type { FindingContext, Measured } from './finding';
import { findingsOf } from './findings-of';
import { takesAllOf } from './pages';

/** Facts of a site that sends letters. */
const factsOf = (made: Parameters<typeof madeSite>[0] = {}) => ({
  ...madeSite(made).facts,
  sendsLetters: true,
});
const input = (change: Partial<FindingContext> = {}): FindingContext => ({
  design: madeDesign(),
  facts: factsOf(),
  peopleOf: { [DESK]: 2 },
  ownAddress: 'https://porch.example',
  proxySeen: null,
  domains: ['https://farrowisle.example', 'http://localhost:4311'],
  isZoneConfirmed: true,
  measured: {},
  now: EVENING,
  ...change,
});
const codesOf = (change: Partial<FindingContext> = {}) => findingsOf(input(change)).map(({ code }) => code);
const widget = (change: Partial<Widget>) => codesOf({ design: madeDesign(change) });
const rule = pageRule;
const field = (change: Partial<Field>): Field => ({
  id: 'one',
  kind: 'short',
  label: null,
  own: { label: { en: 'One' }, help: {} },
  isRequired: false,
  least: null,
  most: null,
  options: [],
  asButtons: false,
  shownIf: null,
  isKept: false,
  link: null,
  attribute: null,
  ...change,
});
const mail = field({ id: 'mail', kind: 'email' });
const forms = (before: Field[], note: Field[] = [mail]) => widget({ forms: { before, note, after: [] } });

describe('findings', () => {
  it('a site as we begin it has none', () => {
    expect(codesOf()).toEqual([]);
  });

  it('each has a key of its own, by which it is dismissed, and what is to be mended goes first', () => {
    const design = madeDesign({
      forms: {
        before: [field({ kind: 'consent', id: 'a' }), field({ kind: 'consent', id: 'b' })],
        note: [mail],
        after: [],
      },
    });
    const findings = findingsOf(
      input({
        design,
        isZoneConfirmed: false,
        facts: factsOf({ calendars: [calendar({ week: everyDay('17:30-23:00') })] }),
      }),
    );
    expect(new Set(findings.map(({ key }) => key)).size).toBe(findings.length);
    expect(findings.map(({ level }) => level)).toEqual(['must-fix', 'must-fix', 'suggestion']);
  });

  describe('people and hours', () => {
    it('notes reach nobody where every team is empty; one that has people is enough', () => {
      expect(codesOf({ peopleOf: {} })).toEqual(['notes-without-recipient']);
      const design = madeDesign({ teams: [DESK, 'other'] });
      const facts = factsOf({ teams: { [DESK]: 'in', other: 'in' } });
      expect(codesOf({ design, facts, peopleOf: { other: 1 } })).toEqual([]);
      const chatOnly = madeDesign({
        behaviours: { in: 'chat', nearby: 'chat', busy: 'chat', nobody: 'chat', closed: 'note' },
      });
      expect(codesOf({ design: chatOnly, peopleOf: {} })).toEqual([]); // without hours it is never closed
    });

    it('[D6] teams and calendars that are gone', () => {
      expect(widget({ teams: [DESK, 'gone'], calendarId: 'gone' })).toEqual(['team-gone', 'calendar-gone']);
    });

    it('hours that never come, though a closed season alone is none', () => {
      const design = madeDesign({ calendarId: 'night' });
      const never = factsOf({ calendars: [calendar({})] });
      expect(codesOf({ design, facts: never })).toEqual(['hours-never-open']);
      const season = {
        id: 's',
        name: 'Winter',
        from: 1101,
        to: 331,
        week: everyDay('00:00-00:00').map(() => []),
      };
      const summer = factsOf({
        calendars: [calendar({ week: everyDay('17:30-23:00'), seasons: [season] })],
      });
      expect(codesOf({ design, facts: summer })).toEqual([]);
    });
  });

  describe('forms', () => {
    it('needed, and never seen: filled in by the page, after a field that comes later, or for an option that is not there', () => {
      const choice = field({ id: 'who', kind: 'choice', options: [{ value: 'me', label: { en: 'Me' } }] });
      expect(forms([field({ kind: 'hidden', isRequired: true, attribute: 'booking' })])).toEqual([
        'field-hidden-but-required',
      ]);
      expect(forms([field({ isRequired: true, shownIf: { field: 'who', is: 'me' } }), choice])).toEqual([
        'field-hidden-but-required',
      ]);
      expect(forms([choice, field({ isRequired: true, shownIf: { field: 'who', is: 'all' } })])).toEqual([
        'field-hidden-but-required',
      ]);
      expect(forms([choice, field({ isRequired: true, shownIf: { field: 'who', is: 'me' } })])).toEqual([]);
      expect(forms([choice, field({ shownIf: { field: 'who', is: 'all' } })])).toEqual([]);
    });

    it('consent needs a place to read about it', () => {
      expect(forms([field({ kind: 'consent' })])).toEqual(['consent-without-link']);
      expect(forms([field({ kind: 'consent', link: '/privacy' })])).toEqual([]);
    });

    it('an answer by mail is promised, by our words or the owner’s, and no address is asked for', () => {
      expect(forms([], [])).toEqual(['mail-promised-no-mail-field']);
      const said = (nobodyHome: string) =>
        widget({
          forms: { before: [], note: [], after: [] },
          texts: { en: { nobodyHome, 'noteLeft.got': 'Thank you.' } },
        });
      expect(said('We answer by e-mail.')).toEqual(['mail-promised-no-mail-field']);
      expect(said('Tell us, we read everything.')).toEqual([]);
    });
  });

  describe('as long as no e-mail is sent', () => {
    const unsent = (change: Partial<Widget> = {}) =>
      codesOf({ design: madeDesign(change), facts: madeSite().facts });

    it('it is said once where notes can be left, and our own words promise none', () => {
      expect(unsent()).toEqual(['no-letters-yet']);
      expect(unsent({ forms: { before: [], note: [], after: [] } })).toEqual(['no-letters-yet']);
    });

    it('an owner’s words that promise one are to be mended, until they have others for the time being', () => {
      const texts = { nobodyHome: 'We answer by e-mail.' };
      expect(unsent({ texts: { en: texts } })).toEqual(['mail-promised-none-sent', 'no-letters-yet']);
      expect(unsent({ texts: { en: { 'slowReply.offer': 'Shall we write an e-mail?' } } })).toContain(
        'mail-promised-none-sent',
      );
      expect(unsent({ texts: { en: { ...texts, 'nobodyHome/no-email': 'Leave a word.' } } })).toEqual([
        'no-letters-yet',
      ]);
    });
  });

  describe('invitations', () => {
    const only = (change: Parameters<typeof invitations>[0], more: Partial<Widget> = {}) =>
      findingsOf(input({ design: madeDesign({ ...invitations(change), ...more }) })).map(
        ({ code, values }) => values['why'] ?? code,
      );

    it.each([
      [
        'devices',
        {
          when: all(
            condition({ kind: 'device', devices: ['phone'] }),
            not({ kind: 'device', devices: ['phone', 'tablet'] }),
          ),
        },
      ],
      [
        'languages',
        {
          when: all(
            condition({ kind: 'language', languages: ['pt'] }),
            condition({ kind: 'language', languages: ['de', 'fr'] }),
          ),
        },
      ],
      [
        'visits',
        {
          when: all(
            condition({ kind: 'visit', is: 'first' }),
            condition({ kind: 'visit-number', atLeast: 2 }),
          ),
        },
      ],
      ['past', { when: all(condition({ kind: 'dates', from: 20_000, to: 20_010 })) }],
      ['empty', { when: any() }],
    ])('nobody ever gets it: %s', (why, change) => {
      expect(only(change)).toContain(why);
    });

    it('what looks alike and can hold', () => {
      expect(
        only({
          when: all(
            condition({ kind: 'language', languages: ['pt'] }),
            condition({ kind: 'language', languages: ['pt-br'] }),
          ),
        }),
      ).toEqual([]);
      expect(
        only({
          when: all(
            condition({ kind: 'device', devices: ['phone'] }),
            not({ kind: 'device', devices: ['tablet'] }),
          ),
        }),
      ).toEqual([]);
      expect(
        only({
          when: any(condition({ kind: 'visit', is: 'first' }), condition({ kind: 'visit', is: 'returning' })),
        }),
      ).toEqual(['invitation-needs-memory']);
    });

    it('single pages that the widget leaves out; one that it shows on is enough', () => {
      const on = (...texts: string[]) => ({
        when: all(condition({ kind: 'page', rules: texts.map((text) => rule('exact', text)) })),
      });
      const pages = { showOn: [rule('begins-with', '/groups')], neverOn: [rule('exact', '/groups/private')] };
      expect(only(on('/tonight'), { pages })).toEqual(['pages']);
      expect(only(on('/groups/private'), { pages })).toEqual(['pages']);
      expect(only(on('/tonight', '/groups/schools'), { pages })).toEqual([]);
    });

    it('where none of several can ever be got, Invited is cracked; one that can mends it', () => {
      const dead = { when: any() };
      const deadEnds = (...list: Parameters<typeof invitations>) =>
        findingsOf(input({ design: madeDesign(invitations(...list)) })).map(({ deadEnd }) => deadEnd);
      expect(deadEnds(dead, dead)).toEqual(['invited', 'invited']);
      expect(deadEnds(dead, {})).toEqual([null]);
    });

    it('[I6] two that come due together, or too soon after each other, unless no visitor can get both', () => {
      const after = (seconds: number, ...more: Condition[]) => ({
        when: all(condition({ kind: 'on-page', seconds }), ...more),
      });
      const pair = (...list: Parameters<typeof invitations>) =>
        codesOf({ design: madeDesign(invitations(...list)) });
      expect(pair(after(40), after(40))).toEqual(['invitations-collide']);
      expect(pair(after(40), after(45))).toEqual(['two-speak-within-gap']);
      expect(pair(after(40), after(4000))).toEqual([]);
      const on = (one: 'phone' | 'desktop') => condition({ kind: 'device', devices: [one] });
      expect(pair(after(40, on('phone')), after(40, on('desktop')))).toEqual([]);
      const page = (text: string) => condition({ kind: 'page', rules: [rule('exact', text)] });
      expect(pair(after(40, page('/tonight')), after(40, page('/groups')))).toEqual([]);
      expect(pair(after(40, page('/tonight')), after(40))).toEqual(['invitations-collide']);
    });
  });

  describe('pages', () => {
    it('a rule that another takes all of, and a widget that comes after one for everything', () => {
      const pages = {
        showOn: [rule('begins-with', '/groups'), rule('exact', '/groups/schools')],
        neverOn: [],
      };
      expect(widget({ pages })).toEqual(['rule-swallowed']);
      const made = madeDesign();
      const [first] = made.widgets as [Widget];
      const second = { ...first, id: '00000000id2', key: 'second', name: 'Second' };
      expect(codesOf({ design: { ...made, widgets: [first, second] } })).toEqual(['widget-swallowed']);
      const asked = { ...first, audience: [condition({ kind: 'device', devices: ['phone'] })] };
      expect(codesOf({ design: { ...made, widgets: [asked, second] } })).toEqual([]);
    });

    it.each([
      [rule('begins-with', '/a'), rule('exact', '/a/b'), true],
      [rule('begins-with', '/a/'), rule('exact', '/a'), true], // [P9] the page that stands for the folder
      [rule('begins-with', '/a'), rule('contains', '/a'), false],
      [rule('contains', 'a'), rule('begins-with', '/a'), true],
      [rule('contains', 'A'), rule('exact', '/a'), false],
      [{ ...rule('contains', 'A'), ignoresCase: true }, rule('exact', '/a'), true],
      [rule('exact', '/a'), { ...rule('exact', '/a'), ignoresCase: true }, false],
      [rule('ends-with', '/b'), rule('begins-with', '/a/b'), false],
      [{ ...rule('begins-with', '/a'), part: 'query' as const }, rule('exact', '/a'), false],
      [rule('wildcard', '/a/*'), rule('exact', '/a/b'), false], // not certain from the texts alone
    ])('%o takes all of %o: %s', (wide, narrow, is) => {
      expect(takesAllOf(wide, narrow)).toBe(is);
    });
  });

  it('law: what one rule is said to take all of, it takes wherever the other does', () => {
    const kind = fc.constantFrom(
      'exact' as const,
      'begins-with' as const,
      'contains' as const,
      'ends-with' as const,
    );
    const text = fc.stringMatching(/^\/?[abAÉé/]{1,4}$/).filter((one) => !one.includes('//'));
    const rules = fc
      .record({ kind, text, ignoresCase: fc.boolean() })
      .map((one): PageRule => ({ ...rule(one.kind, one.text), ...one }));
    const paths = fc.array(fc.stringMatching(/^\/[abAÉé/]{0,5}$/), { minLength: 1, maxLength: 20 });
    const takes = (one: PageRule, path: string): boolean => {
      const wire = toWireRule(one);
      return (
        wire.ok && ruleTakes(wire.value, { host: 'x', path, query: [], fragment: '', whole: `x${path}` })
      );
    };
    let found = 0;
    fc.assert(
      fc.property(rules, rules, paths, (wide, narrow, all) => {
        if (!takesAllOf(wide, narrow)) return;
        found++;
        for (const path of [...all, narrow.text, narrow.text.replace(/\/$/, ''), `${narrow.text}b`])
          if (takes(narrow, path))
            expect([wide, narrow, path, takes(wide, path)]).toEqual([wide, narrow, path, true]);
      }),
      { numRuns: 20_000, seed: 20261126 },
    );
    expect(found).toBeGreaterThan(500);
  });

  describe('look and place', () => {
    const look = madeDesign().widgets[0]?.look as Look;
    const by = (change: Partial<Widget>, measured: Partial<Measured>) => {
      const design = madeDesign(change);
      const id = design.widgets[0]?.id ?? '';
      return findingsOf(input({ design, measured: { [id]: { onPage: null, coverings: [], ...measured } } }));
    };

    it('colours that are hard to read, in what visitors can see of them; the worst is told, never as one that would do', () => {
      const pale = { ...look, own: { day: { ink: '#777777' }, evening: {} } };
      expect(findingsOf(input({ design: madeDesign({ look: pale }) }))).toMatchObject([
        { code: 'text-contrast', level: 'must-fix', values: { count: 2, ratio: 4.4 } },
      ]);
      expect(widget({ look: { ...pale, scheme: 'day' } })).toEqual(['text-contrast']);
      expect(widget({ look: { ...pale, scheme: 'evening' } })).toEqual([]);
    });

    it('a launcher that is hardly seen on the page, until it has a ring, or is the page’s own element', () => {
      const onPage = { launcher: ['#ffffff', '#6d2a55'], invitation: ['#6d2a55'] };
      expect(by({}, { onPage })).toMatchObject([
        {
          code: 'launcher-contrast',
          level: 'must-fix',
          values: { what: 'launcher', page: '#6d2a55', ratio: 1.1 },
        },
      ]);
      const ringed = { ...look, own: { day: { ring: '#ffffff' }, evening: {} } };
      expect(by({ look: ringed }, { onPage })).toEqual([]);
      const { launcher } = madeDesign().widgets[0] as Widget;
      expect(by({ launcher: { ...launcher, form: 'own-element' } }, { onPage })).toEqual([]);
      expect(by({}, { onPage: { launcher: ['#ffffff'], invitation: ['#333333'] } })).toEqual([]);
    });

    it('what lies over bars of the page: the first is named, the others counted', () => {
      const over = (by: number) => ({ screen: 'phone', part: 'launcher', bar: 'lower', by }) as const;
      expect(by({}, { coverings: [over(52), over(40)] })).toMatchObject([
        {
          code: 'bar-covered',
          level: 'suggestion',
          values: { by: 52, more: 1, screen: 'phone', bar: 'lower' },
        },
      ]);
    });
  });

  describe('words', () => {
    it('[T2] a language lacks what neither the owner nor we have worded; of a consent it has to be mended', () => {
      const own = (label: Record<string, string>, kind: Field['kind'] = 'short') => ({
        forms: {
          before: [field({ kind, own: { label, help: {} }, link: '/privacy' })],
          note: [mail],
          after: [],
        },
      });
      const findings = (change: Partial<Widget>, locales: string[]) =>
        findingsOf(input({ design: madeDesign(change, { locales }) })).filter(
          ({ code }) => code === 'translation-missing',
        );
      const note = field({ ...mail, own: { label: { en: 'Mail', pt: 'E-mail', de: 'E-Mail' }, help: {} } });
      const only = ({ forms: own, ...rest }: Pick<Widget, 'forms'> & Partial<Widget>) => ({
        ...rest,
        forms: { ...own, note: [note] },
      });
      expect(findings(only(own({ en: 'Class size' })), ['en', 'pt'])).toMatchObject([
        { level: 'suggestion', values: { locale: 'pt', count: 1 } },
      ]);
      expect(findings(only(own({ en: 'I agree' }, 'consent')), ['en', 'pt'])).toMatchObject([
        { level: 'must-fix' },
      ]);
      expect(findings(only(own({ en: 'Class size', pt: 'Alunos' })), ['en', 'pt-BR'])).toEqual([]);
      expect(
        findings(only({ ...own({ en: 'A', de: 'A' }), texts: { en: { greeting: 'Good evening.' } } }), [
          'en',
          'de',
        ]),
      ).toEqual([]); // ours is there
    });

    it('[T4] a case after one that asks for less is never said', () => {
      const own = (
        id: string,
        when: Widget['cases'][number]['when'],
        key: 'greeting' | 'nobodyHome' = 'greeting',
      ) => ({
        id,
        key,
        when,
        texts: { en: id },
        without: {},
      });
      const night = ['state', 'in'] as const;
      const back = ['visit', 'returning'] as const;
      expect(widget({ cases: [own('a', [back]), own('b', [night, back])] })).toEqual(['case-unreachable']);
      expect(widget({ cases: [own('a', [night, back]), own('b', [back])] })).toEqual([]);
      expect(widget({ cases: [own('a', [back]), own('b', [back], 'nobodyHome')] })).toEqual([]);
    });
  });

  it('a proxy that sends addresses which are not believed', () => {
    expect([codesOf({ proxySeen: '10.0.0.2' }), codesOf({})]).toEqual([['proxy-not-trusted'], []]);
  });

  it('the address: this computer only, or one that a page over https may not load from', () => {
    for (const ownAddress of ['http://localhost:4310', 'http://127.0.0.1:4310', 'https://[::1]']) {
      expect(codesOf({ ownAddress })).toEqual(['address-local-only']);
      expect(codesOf({ ownAddress, domains: ['http://localhost:4311'] })).toEqual([]);
    }
    expect(codesOf({ ownAddress: 'http://192.168.7.4:4310' })).toEqual(['page-https-app-http']);
    expect(codesOf({ ownAddress: 'http://porch.example' })).toEqual(['page-https-app-http']);
    expect(codesOf({ ownAddress: 'http://porch.example', domains: ['http://farrowisle.example'] })).toEqual(
      [],
    );
  });
});
