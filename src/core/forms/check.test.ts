import { describe, expect, it } from 'vitest';
import type { Replies } from '../model/form';
import type { WireField } from '../wire/form-file';
import { checkReplies, isShown } from './check';

const field = (kind: WireField['kind'], change: Partial<WireField> = {}): WireField => ({
  id: kind,
  kind,
  isRequired: false,
  ...change,
});
const faultOf = (one: WireField, reply: Replies[string] | undefined, teams: readonly string[] = []) =>
  checkReplies([one], reply === undefined ? {} : { [one.id]: reply }, teams).faults[one.id]?.say ?? null;
const OPTIONS = { options: [['a', 'A'] as const, ['b', 'B'] as const] };

describe('checkReplies', () => {
  it('what is required says so at its field, each kind in its own words; spaces are nothing', () => {
    expect(faultOf(field('long', { isRequired: true }), ' \n')).toBe('note.noText');
    expect(faultOf(field('email', { isRequired: true }), undefined)).toBe('note.noEmail');
    expect(faultOf(field('consent', { isRequired: true }), '')).toBe('form.consent');
    expect(faultOf(field('choices', { isRequired: true, ...OPTIONS }), [])).toBe('form.missing');
    expect(faultOf(field('short'), '')).toBeNull();
  });

  it.each([
    [field('email'), 'a@b', 'note.badEmail'],
    [field('phone'), '12', 'form.notPhone'],
    [field('phone'), '+351 292 20 20 20', null],
    [field('phone'), '+351 292 call me', 'form.notPhone'],
    [field('number', { least: 2, most: 30 }), '1', 'form.tooSmall'],
    [field('number', { least: 2, most: 30 }), '30,5', 'form.tooLarge'],
    [field('number'), '1e5', 'form.notNumber'],
    [field('date', { least: 20_454 }), '2025-12-31', 'form.tooEarly'],
    [field('date'), '2026-02-30', 'form.notDate'],
    [field('short', { least: 3 }), 'ab', 'form.tooShort'],
    [field('short', { most: 3 }), 'abcd', 'form.tooLong'],
    [field('long'), 'x'.repeat(4001), 'form.tooLong'],
    [field('choice', OPTIONS), 'c', 'form.notOffered'],
    [field('choices', { ...OPTIONS, most: 1 }), ['a', 'b'], 'form.tooMany'],
    [field('choices', OPTIONS), ['a', 'constructor'], 'form.notOffered'],
    [field('team'), 'desk', 'form.notOffered'],
  ] as const)('%o with %o: %s', (one, reply, said) => {
    expect(faultOf(one, reply)).toBe(said);
  });

  it('consent is never given by anything but a tick', () => {
    for (const reply of ['true', 'on', 'no', '1', ['yes']])
      expect(faultOf(field('consent', { isRequired: true }), reply), String(reply)).toBe('form.consent');
    expect(faultOf(field('consent', { isRequired: true }), 'yes')).toBeNull();
  });

  it('a field that is not shown is neither asked for nor kept, whatever was typed before it went', () => {
    const fields = [
      field('yes-no', { id: 'group' }),
      field('number', { id: 'heads', isRequired: true, shownIf: ['group', 'yes'] }),
    ];
    expect(checkReplies(fields, { group: 'no', heads: '12' }, [])).toEqual({
      replies: { group: 'no' },
      faults: {},
    });
    expect(checkReplies(fields, { group: 'yes' }, []).faults).toEqual({ heads: { say: 'form.missing' } });
    expect(isShown(field('short', { shownIf: ['constructor', 'x'] }), {})).toBe(false);
  });

  it('what belongs to no field is left out, and texts are kept without the spaces around them', () => {
    expect(checkReplies([field('short')], { short: ' Ana ', other: 'x' }, []).replies).toEqual({
      short: 'Ana',
    });
    expect(checkReplies([field('team', { id: 't' })], { t: 'desk' }, ['desk']).replies).toEqual({
      t: 'desk',
    });
  });
});
