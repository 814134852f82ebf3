import { describe, expect, it } from 'vitest';
import { SETTINGS } from '../../core/model/settings';
import { SETTING_WORDS, boundsWords, settingWords } from './settings';
import { calendar, everyDay } from '../../../tests/made/hours';
import { all, condition, invitations } from '../../../tests/made/invitations';
import { DESK, madeDesign, madeSite, madeVisit } from '../../../tests/made/site';
import type { Design } from '../../core/model/design';
import { toZone } from '../../core/hours/zone';
import { changesOf } from '../../core/publish/changes';
import { applyPatches } from '../../core/draft/patch';
import type { Patch } from '../../core/model/json';
import type { Json } from '../../core/model/json';
import { explain } from '../../core/decide/explain';
import { REASON_CODES } from '../../core/decide/reason';
import { TEXT_KEYS } from '../../core/words/catalogue';
import { type ReasonContext, nearMiss, verdictWords, wordsOf } from './because';
import { changeWords, groupWords } from './changes';
import { contrastSentence } from './colour';
import { textName } from './texts';
import { clockWords, lengthWords, pageWords, untilWords } from './times';

describe('what stands beside a colour', () => {
  it('says the text that goes on it, and the ratio rounded down', () => {
    expect(contrastSentence('#1f6f6b')).toMatch(/^White text on it: 5\.\d:1, easy to read\.$/);
    expect(contrastSentence('#e79a1b')).toMatch(/^Dark text on it: .*easy to read/);
    // Neither white (4.47:1) nor ink reads on a mid grey; black does.
    expect(contrastSentence('#777777')).toBe('Dark text on it: 4.6:1, easy to read.');
  });
});

describe('what will change, in words', () => {
  const NAMES = {
    teamName: () => 'Night desk',
    calendarName: () => 'the night hours',
    widgetName: () => null,
  };
  const between = (before: Design, ...patches: Patch[]) =>
    changesOf(before, applyPatches(before, patches).value).map(
      (one) => `${groupWords(one.group)}: ${changeWords(one, NAMES)}`,
    );
  const sentences = (...patches: Patch[]) => between(madeDesign(), ...patches);

  it('names the setting, the language, both wordings, and where it is seen', () => {
    const at = ['widgets', 0];
    expect(sentences({ op: 'set', path: [...at, 'look', 'brand'], value: '#111111' })).toEqual([
      'Look & place: Brand colour: #7a2e5d → #111111',
    ]);
    expect(sentences({ op: 'set', path: [...at, 'place', 'corner'], value: 'lower-left' })).toEqual([
      'Look & place: Launcher moves from the lower right to the lower left',
    ]);
    const onPhones = { op: 'set', path: [...at, 'place', 'phoneCorner'], value: 'lower-left' } as const;
    expect(sentences(onPhones)).toEqual(['Look & place: Launcher moves to the lower left on phones']);
    expect(between(applyPatches(madeDesign(), [onPhones]).value, { ...onPhones, value: null })).toEqual([
      'Look & place: Launcher uses the same corner on phones as elsewhere',
    ]);
    expect(
      sentences({ op: 'set', path: [...at, 'texts'], value: { pt: { greeting: 'Boa noite' } } }),
    ).toEqual(['At the door: Greeting in Português: our text → “Boa noite”']);
    expect(sentences({ op: 'set', path: [...at, 'behaviours', 'closed'], value: 'out-of-sight' })).toEqual([
      'Who can answer?: While closed: a note → hidden',
    ]);
    expect(sentences({ op: 'set', path: [...at, 'timings', 'slowReplyAfter'], value: 75 })).toEqual([
      'Waiting: Offer to stop waiting after: 90 s → 75 s',
    ]);
  });

  it('tells what comes and goes with what matters of it, once, and an order where only that changed', () => {
    const one = {
      id: 'aaaaaaaa',
      key: 'greeting',
      when: [['visit', 'returning']],
      texts: { en: 'Again!' },
      without: {},
    };
    const other = { ...one, id: 'bbbbbbbb', when: [['language', 'pt']] };
    const before = madeDesign({ cases: [one, other] as never, ...invitations({ name: 'Clear skies' }) });
    const at = ['widgets', 0];
    const third = { ...one, id: 'cccccccc', when: [['visit', 'first']] } as unknown as Json;
    expect(between(before, { op: 'set', path: [...at, 'cases', 2], value: third })).toEqual([
      'At the door: New: other wording of “Greeting” (first visit): “Again!”',
    ]);
    expect(between(before, { op: 'remove', path: [...at, 'cases', 0] })).toEqual([
      'At the door: Removed: other wording of “Greeting” (returning): “Again!”',
    ]);
    expect(
      between(before, { op: 'set', path: [...at, 'cases', 0, 'texts', 'en'], value: 'Hello again' }),
    ).toEqual(['At the door: Greeting (returning) in English: “Again!” → “Hello again”']);
    expect(
      between(before, { op: 'set', path: [...at, 'cases'], value: [other, one] as unknown as Json }),
    ).toEqual(['Look & place: Wordings: new order']);
    const soon = {
      ...(before.widgets[0]?.invitations[0] ?? {}),
      when: all(condition({ kind: 'on-page', seconds: 25 })),
    };
    expect(
      between(before, { op: 'set', path: [...at, 'invitations', 0], value: soon as unknown as Json }),
    ).toEqual(['Invited: “Clear skies”, shows: at once → 25 s on the page']);
  });

  it('says our text where an own one went, and the widget where there are several', () => {
    const before = madeDesign({ texts: { en: { greeting: 'Hello' } } });
    expect(between(before, { op: 'remove', path: ['widgets', 0, 'texts', 'en', 'greeting'] })).toEqual([
      'At the door: Greeting in English: “Hello” → our text',
    ]);
    const [change] = changesOf(before, {
      ...before,
      widgets: before.widgets.map((one) => ({ ...one, calendarId: 'night' })),
    });
    expect(change && changeWords(change, { ...NAMES, widgetName: () => 'Schools' })).toBe(
      '“Schools”: Hours: whenever somebody is answering → the night hours',
    );
  });
});

const CONTEXT: ReasonContext = {
  teamName: 'Night desk',
  widgetName: () => 'Main',
  invitationName: (id) => (id === 'invitation-a' ? 'Clear skies' : 'Moon walk'),
  untilWords: (instant) => new Date(instant).toISOString().slice(11, 16),
};

describe('names and reasons', () => {
  it('every text and every reason has words of its own', () => {
    const names = TEXT_KEYS.map((key) => textName(key));
    expect(new Set(names).size).toBe(names.length);
    const context = { ...CONTEXT, widgetName: (key: string) => key };
    for (const code of REASON_CODES)
      expect(wordsOf({ about: 'moment', code, facts: {} }, context).text, code).not.toBe(code);
  });

  it('the reasons read as the engine decided', () => {
    const context = CONTEXT;
    const told = explain(madeSite({ teams: { [DESK]: 'in' } }), madeVisit()).map(
      ({ reason }) => wordsOf(reason, context).text,
    );
    expect(told).toEqual([
      '“Main” covers /tonight',
      'Night desk is answering',
      'the window is closed',
      'the language is English',
    ]);
  });
});

describe('what an invitation lacks', () => {
  const said = (list: Parameters<typeof invitations>, visit: Parameters<typeof madeVisit>[0] = {}) => {
    const verdicts = explain(madeSite({ design: madeDesign(invitations(...list)) }), madeVisit(visit));
    const near = nearMiss(verdicts);
    const each = verdicts
      .filter(({ reason }) => reason.about === 'invitation')
      .map((one) => verdictWords(one, CONTEXT));
    return {
      each: each.map(({ text }) => text),
      near: near === null ? null : verdictWords(near, CONTEXT).text,
      links: each.map(({ link }) => link),
    };
  };
  const stay = (seconds: number) => condition({ kind: 'on-page', seconds });

  it('time alone is said in seconds, and the nearest of several is the near miss', () => {
    const told = said([{ when: all(stay(40)) }, { when: all(stay(13)) }]);
    expect(told.each).toEqual(['“Clear skies” needs 40 s more', '“Moon walk” needs 13 s more']);
    expect(told.near).toBe('“Moon walk” needs 13 s more');
    expect(told.links[0]).toEqual({ to: 'invitation', id: 'invitation-a' });
  });

  it('what no waiting brings is no near miss, and says what it asks for', () => {
    const told = said([{ when: all(condition({ kind: 'device', devices: ['phone'] }), stay(40)) }]);
    expect(told).toMatchObject({
      each: ['“Clear skies” needs another device and more time on the page (40 s more)'],
      near: null,
    });
  });

  it('one that holds says what keeps it', () => {
    expect(said([{ oncePer: { kind: 'visitor' } }]).each).toEqual([
      '“Clear skies” needs to remember the visitor, who has not agreed',
    ]);
    const rest = { page: { hasDeclined: true } };
    expect(said([{}], rest).each[0]).toMatch(/^“Clear skies” stays away: the visitor said no/);
  });

  it('hours say until when', () => {
    const site = madeSite({
      design: madeDesign({ calendarId: 'night' }),
      calendars: [calendar({ week: everyDay('19:00-21:00') })],
    });
    const told = explain(site, madeVisit()).map((one) => verdictWords(one, CONTEXT));
    expect(told).toContainEqual({ text: 'open until 22:00', link: { to: 'when' } });
  });
});

describe('times', () => {
  it('an instant to come is as short as it is clear', () => {
    const zone = toZone([0, 60]); // an hour east of UTC
    const now = Date.UTC(2026, 10, 25, 22);
    const until = (hours: number) => untilWords(zone, now, now + hours * 3_600_000);
    expect([until(0.5), until(2), until(12), until(26), until(24 * 6)]).toEqual([
      '23:30',
      '01:00',
      'Thu 11:00', // no hour of the night that follows
      'Fri 01:00',
      'Tue 1 Dec, 23:00',
    ]);
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
    expect(pageWords('https://isle.example/tonight?x=1', true)).toBe('isle.example/tonight');
    expect(pageWords('no address')).toBe('no address');
  });
});

describe('settings in words', () => {
  it('every setting has a name, and its values their unit', () => {
    for (const setting of Object.values(SETTINGS)) {
      expect(SETTING_WORDS[setting.id].name).toMatch(/^[A-Z]/);
      if (setting.unit === 'switch')
        expect([settingWords(0, setting), settingWords(1, setting)]).toEqual(['off', 'on']);
      else expect(settingWords(3600, setting)).toMatch(/^[\d.]+( \w+)?$/);
    }
    expect(settingWords(null, SETTINGS.slowReplyTalkingAfter)).toBe('off');
    expect(settingWords(600, SETTINGS.slowReplyTalkingAfter)).toBe('10 min');
  });

  it('what is out of bounds says what would do, in the unit it is typed in', () => {
    expect(boundsWords(SETTINGS.endsAfterQuiet)).toBe(
      'Type a whole number from 1 to 168 h. The old value still applies.',
    );
    expect(boundsWords(SETTINGS.perVisit)).toBe(
      'Type a whole number from 0 to 20. The old value still applies.',
    );
  });
});
