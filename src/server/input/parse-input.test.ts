import { describe, expect, it } from 'vitest';
import { madeDesign } from '../../../tests/made/site';
import { defaultDesign } from '../../core/model/defaults';
import { newId } from '../ids';
import { FirstRunInput, SignInInput } from './account.input';
import { DesignInput } from './design.input';
import { parseInput } from './parse-input';
import { NoteInput } from './visitor.input';

const good = () => defaultDesign('Farrow Isle', 'en', '#7a2e5d', () => newId(1));
const errorsOf = (raw: unknown) => {
  const parsed = parseInput(DesignInput, raw);
  return parsed.ok ? {} : parsed.errors;
};

const madeNote = () => ({
  clientId: 'a'.repeat(26),
  body: 'Two of us, by the late ferry.',
  page: 'https://farrowisle.example/tonight',
  design: 'd1-0123456789abcdef',
  locale: 'en',
  widget: 'main',
  mail: '',
  name: '',
  replies: { place: 'Corvo' },
});

describe('parseInput', () => {
  it('takes our own default design, and gives it back as it was', () => {
    const design = good();
    expect(parseInput(DesignInput, design)).toEqual({ ok: true, value: design });
  });

  it('leaves as plain objects', () => {
    const parsed = parseInput(DesignInput, good());
    expect(parsed.ok && Object.getPrototypeOf(parsed.value.widgets[0]?.place)).toBe(Object.prototype);
  });

  it.each([null, 'text', 7, [], undefined])('refuses %j, which is no object', (raw) => {
    expect(Object.keys(errorsOf(raw))).toEqual(['']);
  });

  it('names the field, down to its place in a list', () => {
    const [widget] = good().widgets;
    if (widget === undefined) throw new Error('no widget');
    const errors = errorsOf({
      ...good(),
      widgets: [{ ...widget, place: { ...widget.place, corner: 'middle' } }],
    });
    expect(errors).toEqual({
      'widgets.0.place.corner': 'Choose one of the four corners, or the middle of an edge.',
    });
  });

  it('refuses names nobody asked for, and a null in a list', () => {
    expect(Object.keys(errorsOf({ ...good(), admin: true }))).toEqual(['admin']);
    expect(errorsOf({ ...good(), widgets: [null] })).toEqual({ '': 'A list holds an empty item.' });
  });

  it('[threat 22] a __proto__ in the JSON reaches nothing', () => {
    const raw: unknown = JSON.parse(
      JSON.stringify(good()).replace('"v":1', '"__proto__":{"polluted":1},"v":1'),
    );
    parseInput(DesignInput, raw);
    expect(({} as { polluted?: number }).polluted).toBeUndefined();
  });

  it.each(['constructor', '__proto__', 'prototype'])(
    '[threat 22] refuses what is named %s, however deep',
    (name) => {
      const raw: unknown = JSON.parse(JSON.stringify(madeNote()).replace('"place"', `"${name}"`));
      expect(parseInput(NoteInput, raw)).toEqual({
        ok: false,
        errors: { '': 'No field may have this name.' },
      });
    },
  );

  it('[threat 8] names, pages on the way and replies lose control and direction signs, too', () => {
    const evil = {
      name: ' Ana\u202e\nBraga\u0000 ',
      replies: { place: 'Cor\u2066vo' },
      page: 'https://farrowisle.example/\u202etonight',
    };
    const trail = [['farrowisle.example/\u202egroups', 1]];
    const parsed = parseInput(NoteInput, { ...madeNote(), ...evil, trail });
    expect(parsed.ok && parsed.value).toMatchObject({
      name: 'Ana Braga',
      replies: { place: 'Corvo' },
      page: 'https://farrowisle.example/tonight',
      trail: [['farrowisle.example/groups', 1]],
    });
  });

  it('judges texts by their own bound, and knows only keys of the catalogue', () => {
    const withText = (texts: object) => errorsOf({ ...good(), widgets: [{ ...good().widgets[0], texts }] });
    expect(withText({ en: { greeting: 'x'.repeat(141) } })['widgets.0.texts']).toContain('140');
    expect(withText({ en: { salute: 'x' } })['widgets.0.texts']).toContain('salute');
    expect(withText({ 'en<': { greeting: 'x' } })['widgets.0.texts']).toContain('language');
    expect(withText({ en: { greeting: 'x'.repeat(140) } })).toEqual({});
  });

  it('two widgets of one key are refused', () => {
    const [widget] = madeDesign().widgets;
    expect(Object.values(errorsOf({ ...good(), widgets: [widget, widget] }))).toContain(
      'Two widgets have the same key.',
    );
  });

  it('the first page: each field speaks for itself, in words of what to do', () => {
    const parsed = parseInput(FirstRunInput, {
      siteName: ' ',
      siteAddress: 'farrowisle',
      brand: 'plum',
      name: '',
      mail: 'ines@',
      password: 'short',
      locale: 'en',
      zone: 'Azores',
    });
    expect(parsed.ok ? [] : Object.keys(parsed.errors).sort()).toEqual([
      'brand',
      'mail',
      'password',
      'siteAddress',
      'siteName',
      'zone',
    ]);
  });

  it('an e-mail is judged alike in the widget and here', () => {
    const parsed = parseInput(SignInInput, { mail: 'ines@farrowisle', password: 'x' });
    expect(parsed).toEqual({ ok: false, errors: { mail: 'Something is missing around the @.' } });
  });
});
