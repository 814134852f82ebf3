import { describe, expect, it } from 'vitest';
import type { WireField } from '../wire/form-file';
import { madeTalk } from '../../../tests/made/site';
import { askedFields, asksAfter, asksBefore, fromKept, saysNothing, toKept, withHidden } from './fill';

const field = (id: string, change: Partial<WireField> = {}): WireField => ({
  id,
  kind: 'short',
  isRequired: false,
  ...change,
});
const FORMS = { before: [field('when')], note: [], after: [field('helped')] };

describe('forms around a chat', () => {
  it('before: with the first words only, and never where there is nothing to ask', () => {
    expect(asksBefore({ forms: FORMS }, false)).toBe(true);
    expect(asksBefore({ forms: FORMS }, true)).toBe(false);
    expect(asksBefore({ forms: { ...FORMS, before: [] } }, false)).toBe(false);
  });

  it('after: once somebody had joined and it has ended, until it is given; a file of an older program asks nothing', () => {
    const ended = madeTalk({ standing: 'ended', joinedMs: 1, endedMs: 2 });
    expect(asksAfter({ forms: FORMS }, ended)).toBe(true);
    expect(asksAfter({ forms: FORMS }, { ...ended, joinedMs: null })).toBe(false);
    expect(asksAfter({ forms: FORMS }, { ...ended, standing: 'joined' })).toBe(false);
    expect(asksAfter({ forms: FORMS }, { ...ended, isAfterGiven: true })).toBe(false);
    expect(asksAfter({ forms: { before: [], note: [] } }, ended)).toBe(false);
    expect(asksAfter({ forms: FORMS }, null)).toBe(false);
  });

  it('a hidden field takes the page’s attribute of its own name, and nothing that was typed or inherited', () => {
    const fields = [
      field('booking', { kind: 'hidden', attribute: 'booking' }),
      field('odd', { kind: 'hidden', attribute: 'constructor' }),
    ];
    expect(withHidden(fields, { booking: 'forged', odd: 'x', name: 'Ana' }, { booking: 'B-17' })).toEqual({
      booking: 'B-17',
      odd: undefined,
      name: 'Ana',
    });
  });

  it('only what says so is remembered, and filled in again', () => {
    const fields = [
      field('mail', { isKept: true }),
      field('why'),
      field('days', { kind: 'choices', isKept: true }),
    ];
    const kept = toKept(fields, { mail: 'ana@isle.example', why: 'stars', days: ['mon'] });
    expect(kept).toEqual({ mail: 'ana@isle.example' });
    expect(fromKept(fields, { ...kept, why: 'stars' })).toEqual(kept);
  });

  it('a note with its form filled in needs no words; one with neither says nothing', () => {
    expect(saysNothing(' \n', { heads: '12' })).toBe(false);
    expect(saysNothing('Hello', {})).toBe(false);
    expect(saysNothing(' \n', {})).toBe(true);
  });

  it('a note after words already said needs none', () => {
    const fields = [
      field('text', { kind: 'long', isRequired: true }),
      field('more', { kind: 'long', isRequired: true }),
    ];
    const asked = (hasSaid: boolean) => askedFields(fields, { hasSaid, sendsLetters: true });
    expect(asked(true).map(({ isRequired }) => isRequired)).toEqual([false, true]);
    expect(asked(false)).toEqual(fields);
  });

  it('no e-mail address is needed as long as no letters go out', () => {
    const fields = [field('mail', { kind: 'email', isRequired: true }), field('name', { isRequired: true })];
    const needed = (sendsLetters: boolean) =>
      askedFields(fields, { hasSaid: false, sendsLetters }).map(({ isRequired }) => isRequired);
    expect(needed(false)).toEqual([false, true]);
    expect(needed(true)).toEqual([true, true]);
  });
});
