import { describe, expect, it } from 'vitest';
import { SETTINGS } from '../../core/model/settings';
import { boundsWords } from './settings';
import { calendar, everyDay } from '../../../tests/made/hours';
import { all, condition, invitations } from '../../../tests/made/invitations';
import { DESK, madeDesign, madeSite, madeVisit } from '../../../tests/made/site';
import { toZone } from '../../core/hours/zone';
import { differencesOf } from '../../core/draft/differences';
import { type Json, applyPatches, type Patch } from '../../core/draft/patch';
import { explain } from '../../core/decide/explain';
import { REASON_CODES } from '../../core/decide/reason';
import { TEXT_KEYS } from '../../core/words/catalogue';
import { type ReasonContext, nearMiss, verdictWords, wordsOf } from './because';
import { changeSentence } from './changes';
import { contrastSentence, toHex } from './colour';
import { textName } from './texts';
import { clockWords, lengthWords, pageWords, untilWords } from './times';

describe('what stands beside a colour', () => {
  it('says the text that goes on it, and the ratio rounded down', () => {
    expect(contrastSentence('#1f6f6b')).toMatch(/^White text on it: 5\.\d:1, reads well\.$/);
    expect(contrastSentence('#e79a1b')).toMatch(/^Dark text on it: .*reads/);
    // Neither white (4.47:1) nor ink reads on a mid grey; black does.
    expect(contrastSentence('#777777')).toBe('Dark text on it: 4.6:1, reads well.');
  });

  it('takes a typed colour with three or six digits, with and without its sign, and nothing else', () => {
    expect([toHex(' 7A2E5D '), toHex('#abc'), toHex('#abcd'), toHex('plum')]).toEqual(['#7a2e5d', '#aabbcc', null, null]);
  });
});

describe('what will change, in words', () => {
  const sentences = (...patches: Patch[]) => {
    const before = madeDesign();
    const after = applyPatches(before, patches).value;
    return differencesOf(before as unknown as Json, after as unknown as Json).map((one) => changeSentence(one, after));
  };

  it('names the setting, the language, and both wordings', () => {
    expect(sentences({ op: 'set', path: ['widgets', 0, 'look', 'brand'], value: '#111111' })).toEqual(['Brand colour: #7a2e5d → #111111']);
    expect(sentences({ op: 'set', path: ['widgets', 0, 'place', 'corner'], value: 'lower-left' })).toEqual([
      'Launcher moves to the lower left',
    ]);
    expect(sentences({ op: 'set', path: ['widgets', 0, 'texts'], value: { pt: { greeting: 'Boa noite' } } })).toEqual([
      'Greeting in Português: ours → “Boa noite”',
    ]);
  });

  it('tells a case that came from its words, its conditions and its place', () => {
    const one = { id: 'aaaaaaaa', key: 'greeting', when: [['visit', 'returning']], texts: { en: 'Again!' }, without: {} };
    const other = { ...one, id: 'bbbbbbbb', when: [['language', 'pt']] };
    const before = madeDesign({ cases: [one, other] as never });
    const said = (...patches: Patch[]) => {
      const after = applyPatches(before, patches).value;
      return differencesOf(before as unknown as Json, after as unknown as Json).map((change) => changeSentence(change, after));
    };
    const at = ['widgets', 0, 'cases'];
    expect(said({ op: 'set', path: [...at, 2], value: { ...one, id: 'cccccccc', when: [['visit', 'first']] } as unknown as Json })).toEqual(
      ['Cases, new: Greeting (first visit)'],
    );
    expect(said({ op: 'remove', path: [...at, 0] })).toEqual(['Cases, gone: Greeting (returning)']);
    expect(said({ op: 'set', path: [...at, 0, 'texts', 'en'], value: 'Hello again' })).toEqual([
      'Greeting (returning) in English: “Again!” → “Hello again”',
    ]);
    expect(said({ op: 'set', path: [...at, 1, 'when', 0, 1], value: 'en' })).toEqual([
      'Greeting (English): said to somebody else than before',
    ]);
  });

  it('says back to ours where an own text went', () => {
    const before = madeDesign({ texts: { en: { greeting: 'Hello' } } });
    const after = applyPatches(before, [{ op: 'remove', path: ['widgets', 0, 'texts', 'en', 'greeting'] }]).value;
    const [one] = differencesOf(before as unknown as Json, after as unknown as Json);
    expect(one && changeSentence(one, after)).toBe('Greeting in English: “Hello” → ours');
  });
});

const CONTEXT: ReasonContext = {
  teamName: 'Night desk',
  widgetName: () => 'Everywhere',
  invitationName: (id) => (id === 'invitation-a' ? 'Clear skies' : 'Moon walk'),
  untilWords: (instant) => new Date(instant).toISOString().slice(11, 16),
};

describe('names and reasons', () => {
  it('every text and every reason has words of its own', () => {
    const names = TEXT_KEYS.map((key) => textName(key));
    expect(new Set(names).size).toBe(names.length);
    const context = { ...CONTEXT, widgetName: (key: string) => key };
    for (const code of REASON_CODES) expect(wordsOf({ about: 'moment', code, facts: {} }, context).text, code).not.toBe(code);
  });

  it('Because reads as the engine decided', () => {
    const context = CONTEXT;
    const told = explain(madeSite({ teams: { [DESK]: 'in' } }), madeVisit()).map(({ reason }) => wordsOf(reason, context).text);
    expect(told).toEqual(['“Everywhere” takes /tonight', 'somebody of Night desk is in', 'the window is closed', 'the words are English']);
  });
});

describe('what an invitation lacks', () => {
  const said = (list: Parameters<typeof invitations>, visit: Parameters<typeof madeVisit>[0] = {}) => {
    const verdicts = explain(madeSite({ design: madeDesign(invitations(...list)) }), madeVisit(visit));
    const near = nearMiss(verdicts);
    const each = verdicts.filter(({ reason }) => reason.about === 'invitation').map((one) => verdictWords(one, CONTEXT));
    return {
      each: each.map(({ text }) => text),
      near: near === null ? null : verdictWords(near, CONTEXT).text,
      links: each.map(({ link }) => link),
    };
  };
  const stay = (seconds: number) => condition({ kind: 'on-page', seconds });

  it('time alone is said in seconds, and the nearest of several is the near miss', () => {
    const told = said([{ when: all(stay(40)) }, { when: all(stay(13)) }]);
    expect(told.each).toEqual(['“Clear skies” is 40 s short', '“Moon walk” is 13 s short']);
    expect(told.near).toBe('“Moon walk” is 13 s short');
    expect(told.links[0]).toEqual({ to: 'invitation', id: 'invitation-a' });
  });

  it('what no waiting brings is no near miss, and says what it asks for', () => {
    const told = said([{ when: all(condition({ kind: 'device', devices: ['phone'] }), stay(40)) }]);
    expect(told).toMatchObject({ each: ['“Clear skies” asks for another device and more time on the page (40 s short)'], near: null });
  });

  it('one that holds says what keeps it', () => {
    expect(said([{ oncePer: { kind: 'visitor' } }]).each).toEqual(['“Clear skies” must remember the visitor, who has not agreed to that']);
    const rest = { page: { hasDeclined: true } };
    expect(said([{}], rest).each[0]).toMatch(/^“Clear skies” rests: the visitor has said no/);
  });

  it('hours say until when', () => {
    const site = madeSite({ design: madeDesign({ calendarId: 'night' }), calendars: [calendar({ week: everyDay('19:00-21:00') })] });
    const told = explain(site, madeVisit()).map((one) => verdictWords(one, CONTEXT));
    expect(told).toContainEqual({ text: 'it is open by the hours until 22:00', link: { to: 'when' } });
  });
});

describe('times', () => {
  it('an instant to come is as short as it is clear', () => {
    const zone = toZone([0, 60]); // an hour east of UTC
    const now = Date.UTC(2026, 10, 25, 22);
    const until = (hours: number) => untilWords(zone, now, now + hours * 3_600_000);
    expect([until(2), until(23.5), until(26), until(24 * 6)]).toEqual(['01:00', '22:30', 'Fri 01:00', 'Tue 1 Dec, 23:00']);
  });

  it('a length says the two units that matter', () => {
    expect([
      lengthWords(-5),
      lengthWords(59_999),
      lengthWords(60_000),
      lengthWords(7_500_000),
      lengthWords(30 * 3_600_000),
      lengthWords(200 * 3_600_000),
    ]).toEqual(['0 s', '59 s', '1 min', '2 h 5 min', '30 h', '8 days']);
  });

  it('the time of day is the site’s, not the process’s', () => {
    expect(clockWords(Date.UTC(2026, 10, 25, 23, 30), 'Atlantic/Azores')).toBe('22:30');
    expect(clockWords(Date.UTC(2026, 6, 1, 23, 30), 'Atlantic/Azores')).toBe('23:30');
  });

  it('a page is called by its path', () => {
    expect(pageWords('https://farrowisle.example/tonight?x=1')).toBe('/tonight');
    expect(pageWords('no address')).toBe('no address');
  });
});

describe('settings in words', () => {
  const differ = (path: (string | number)[], before: Json, after: Json) => changeSentence({ path, before, after }, madeDesign());

  it('every setting has a name, and a change of it is a sentence with its unit', () => {
    for (const { of, path, unit } of Object.values(SETTINGS)) {
      const place = of === 'widget' ? ['widgets', 0, ...path] : [...path];
      if (unit === 'switch') expect(differ(place, false, true)).toMatch(/^[A-Z].*: off → on$/);
      else expect(differ(place, 3600, 7200)).toMatch(/^[A-Z].*: [\d.]+( \w+)? → [\d.]+( \w+)?$/);
    }
    expect(differ(['widgets', 0, 'timings', 'slowReplyAfter'], 90, 75)).toBe('An answer by mail is offered after: 90 s → 75 s');
    expect(differ(['widgets', 0, 'timings', 'slowReplyTalkingAfter'], null, 600)).toBe('While talking, it is offered after: off → 10 min');
    expect(differ(['widgets', 0, 'deeds', 'closed'], 'note', 'out-of-sight')).toBe('While closed: a note → out of sight');
  });

  it('what is out of bounds says what would do, in the unit it is typed in', () => {
    expect(boundsWords(SETTINGS.endsAfterQuiet)).toBe('A whole number from 1 to 168 h. Not saved yet.');
    expect(boundsWords(SETTINGS.perVisit)).toBe('A whole number from 0 to 20. Not saved yet.');
  });
});
