import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { EVENING, madeDesign, madeSite, madeVisit } from '../../../tests/made/site';
import { decide } from '../decide/decide';
import type { Field } from '../model/form';
import { FIELD_KINDS } from '../model/form';
import { previewAt } from '../rehearse/preview-at';
import { DRAWN_MOMENTS } from '../model/moment';
import { alsoSaidAt } from './also-said';
import { TEXT_KEYS } from './catalogue';

const FOLDERS = ['src/widget', 'src/widget/panel'];
const CODE = FOLDERS.flatMap((folder) =>
  readdirSync(folder)
    .filter((name) => /\.tsx?$/.test(name) && !name.includes('.test.'))
    .map((name) => readFileSync(join(folder, name), 'utf8')),
).join('\n');

const field = (kind: Field['kind'], isRequired = true): Field =>
  ({
    id: `field-${kind}`,
    kind,
    label: null,
    own: { label: { en: kind }, help: {} },
    isRequired,
    least: null,
    most: null,
    options: [],
    shownIf: null,
    remembers: false,
    attribute: null,
  }) as unknown as Field;

/** Labels and helps of the fields that every widget begins with, and the words in the empty field. */
const LABELS = ['input.label', 'input.add', 'note.email.help', 'note.name'];

describe('alsoSaidAt', () => {
  it('every text that the widget names is on the stage of some moment, or listed beside it', () => {
    const forms = {
      before: FIELD_KINDS.map((kind) => field(kind)),
      note: FIELD_KINDS.map((kind) => field(kind)),
      after: [field('short')],
    };
    const site = madeSite();
    const standing = DRAWN_MOMENTS.flatMap((moment) => {
      const { site: there, circumstances } = previewAt(site, madeVisit({ now: EVENING }), moment);
      return decide(there, circumstances).lines.map(({ key }) => key as string);
    });
    const [widget] = madeDesign({ forms }).widgets;
    const listed = DRAWN_MOMENTS.flatMap((moment): string[] =>
      widget === undefined ? [] : alsoSaidAt(moment, widget),
    );
    // Furniture that is drawn wherever its part is: buttons, labels and the words in an empty field.
    const drawn = [...CODE.matchAll(/data-say(?:=|': )"?\{?'?([a-zA-Z.]+)/g)].map(([, key]) => key ?? '');
    const named = TEXT_KEYS.filter((key) => CODE.includes(`'${key}'`) || CODE.includes(`"${key}"`));
    const seen = new Set([...standing, ...listed, ...drawn, ...LABELS]);
    expect(named.filter((key) => !seen.has(key))).toEqual([]);
    expect(named.length).toBeGreaterThan(40);
  });

  it('a form’s faults are those of its fields, and of what is missing only where something is needed', () => {
    const at = (...fields: Field[]) =>
      alsoSaidAt('at-the-door', { forms: { before: fields, note: [], after: [] } });
    expect(at(field('number', false))).toContain('form.tooSmall');
    expect(at(field('number', false))).not.toContain('form.missing');
    expect(at(field('email'))).toContain('note.noEmail');
    expect(at()).not.toContain('form.notSent');
  });
});
