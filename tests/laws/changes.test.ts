import { describe, expect, it } from 'vitest';
import type { Json } from '../../src/core/model/json';
import { type Design, type OwnCase, type Widget } from '../../src/core/model/design';
import { ADDRESS_PARTS } from '../../src/core/model/page-rule';
import { PAGE_RULE_KINDS } from '../../src/core/model/page-rule';
import { FIELD_KINDS, type Field } from '../../src/core/model/form';
import { COLOURS, ICON_NAMES, LOOK_NAMES, type Look } from '../../src/core/model/look';
import { changesOf } from '../../src/core/publish/changes';
import type { CaseCondition } from '../../src/core/model/case-condition';
import { TEXT_KEYS } from '../../src/core/words/catalogue';
import { changeWords } from '../../src/ui/wording/changes';
import { anyCondition, anyDesign } from '../made/chance';
import { type Dice, diceOf } from '../made/dice';

const CONTEXT = {
  teamName: (id: string) => id,
  calendarName: (id: string) => id,
  widgetName: (id: string) => id,
};
const DESIGNS = 200;
const EDITS_EACH = 50;

/** A design in which every list has something in it, so that every leaf of the model can be edited. */
function fullDesign(dice: Dice): Design {
  const design = anyDesign(dice);
  return {
    ...design,
    locales: ['en', 'pt', 'de'],
    widgets: design.widgets.map((widget) => fullWidget(dice, widget)),
  };
}

function fullWidget(dice: Dice, widget: Widget): Widget {
  const fields = (form: string) =>
    Array.from({ length: dice.int(0, 4) }, (_, index) => anyField(dice, `${form}field${index}`));
  return {
    ...widget,
    look: fullLook(dice, widget.look),
    place: { ...widget.place, phoneCorner: dice.flip() ? 'upper-left' : null },
    launcher: {
      ...widget.launcher,
      icon: dice.flip() ? { drawing: dice.pick(ICON_NAMES) } : null,
      closedIcon: dice.flip() ? { picture: PICTURE } : null,
      hiddenOn: dice.flip() ? ['phone', 'tablet'] : [],
      ...(dice.flip() ? { noWordsIn: ['busy', 'closed'] as const } : {}),
      element: dice.flip() ? '.contact' : null,
    },
    teams: ['00000night', '00schools'].slice(0, dice.int(0, 3)),
    texts: { en: { [dice.pick(TEXT_KEYS)]: 'Ours' }, pt: { greeting: 'Boa noite' } },
    cases: Array.from({ length: dice.int(0, 3) }, (_, index) => anyCase(dice, `000case${index}`)),
    forms: { before: fields('b'), note: fields('n'), after: fields('a') },
  };
}

const PICTURE = { once: 'a1'.repeat(20), twice: 'b2'.repeat(20), width: 120, height: 40 };
const HEADER_PICTURE = { ...PICTURE, darkest: '#101010', lightest: '#e0e0e0' };

function fullLook(dice: Dice, look: Look): Look {
  const colour = () => dice.pick(COLOURS);
  return {
    ...look,
    name: dice.pick(LOOK_NAMES),
    second: dice.flip() ? '#8a6a1f' : null,
    own: { day: { [colour()]: '#101010', [colour()]: '#202020' }, evening: { [colour()]: '#303030' } },
    logo: dice.flip() ? PICTURE : null,
    headerPicture: dice.flip() ? HEADER_PICTURE : null,
    css: dice.flip() ? '.head { opacity: 0.9 }' : '',
  };
}

const CASE_CONDITIONS: readonly CaseCondition[] = [
  ['visit', 'returning'],
  ['state', 'in', 'busy'],
  ['language', 'pt'],
  ['team', '00schools'],
];

function anyCase(dice: Dice, id: string): OwnCase {
  return {
    id,
    key: dice.pick(TEXT_KEYS),
    when: [dice.pick(CASE_CONDITIONS)],
    texts: { en: 'Again' },
    without: dice.flip() ? { en: 'Once more' } : {},
  };
}

function anyField(dice: Dice, id: string): Field {
  const isOwn = dice.flip();
  return {
    id,
    kind: dice.pick(FIELD_KINDS),
    label: isOwn ? null : 'note.name',
    own: isOwn ? { label: { en: 'How many?' }, help: { en: 'About.' } } : null,
    isRequired: dice.flip(),
    least: dice.flip() ? 2 : null,
    most: dice.flip() ? 20 : null,
    options: dice.flip() ? ['day', 'night'].map((value) => ({ value, label: { en: `By ${value}` } })) : [],
    asButtons: dice.flip(),
    shownIf: dice.flip() ? { field: 'email', is: 'x' } : null,
    isKept: dice.flip(),
    link: dice.flip() ? 'https://farrowisle.example/privacy' : null,
    attribute: dice.flip() ? 'plan' : null,
  };
}

type Node = { [name: string]: Node } | Node[] | string | number | boolean | null;
interface Spot {
  readonly owner: { [name: string]: Node } | Node[];
  readonly at: string;
}

/** Every place in plain data, as a path. */
function pathsOf(node: Node, path = ''): string[] {
  if (typeof node !== 'object' || node === null) return [];
  return Object.entries(node).flatMap(([at, value]) => [`${path}/${at}`, ...pathsOf(value, `${path}/${at}`)]);
}

function spotAt(design: Node, path: string): Spot {
  const names = path.split('/').slice(1);
  const at = names.pop() ?? '';
  let owner = design as { [name: string]: Node };
  for (const name of names) owner = owner[name] as { [name: string]: Node };
  return { owner, at };
}

/** What stands where there was nothing. */
const INSTEAD_OF_NONE: Readonly<Record<string, Json>> = {
  calendarId: 'night',
  defaultText: 'invitation.stayed',
  label: 'note.text',
  own: { label: { en: 'Yours?' }, help: {} },
  shownIf: { field: 'name', is: 'y' },
  link: 'https://farrowisle.example/terms',
  attribute: 'level',
  value: 'set',
  second: '#34518c',
  headerTo: '#34518c',
  logo: PICTURE,
  icon: { drawing: 'bell' },
  closedIcon: { drawing: 'door' },
  element: '.ask',
  phoneCorner: 'lower-left',
  headerPicture: HEADER_PICTURE,
};
const NONE_CAN_BE = new Set([
  ...Object.keys(INSTEAD_OF_NONE),
  'atMost',
  'least',
  'most',
  'slowReplyTalkingAfter',
]);

/** Nobody sees the ids of a condition's rules, nor how one single condition is joined. */
const UNSEEN = /\/(?:v|rules\/\d+\/id)$|\/own$/;

/** What is read of something in a list: not the ids of a condition's rules; a group of one is that one. */
function seenOf(node: Node | undefined): string {
  const { conditions, isNot } = (node ?? {}) as {
    readonly conditions?: readonly Node[];
    readonly isNot?: boolean;
  };
  const read = conditions?.length === 1 && isNot === false ? conditions[0] : node;
  return JSON.stringify(read ?? null).replace(/"id":"[^"]*",?/g, '');
}

/** Changes one thing of a design, as found in the plain data: a leaf, a condition, something of a list. Null: nothing that is seen. */
function editOf(dice: Dice, design: Node, path: string): string | null {
  const { owner, at } = spotAt(design, path);
  const node = (owner as { [name: string]: Node })[at] as Node;
  const put = (value: Node): string => {
    (owner as { [name: string]: Node })[at] = value;
    return path;
  };
  if (UNSEEN.test(path)) return null;
  if (/\/(?:items|conditions|audience)\/\d+$/.test(path)) {
    const other = anyCondition(dice) as unknown as Node;
    return JSON.stringify(other) === JSON.stringify(node) ? null : put(other);
  }
  if (/\/cases\/\d+\/when\/\d+/.test(path)) {
    const other = dice.pick(CASE_CONDITIONS.filter((one) => JSON.stringify(one) !== JSON.stringify(node)));
    return /\/when\/\d+$/.test(path) ? put([...other]) : null;
  }
  // A condition that is half of one kind and half of another is none.
  if (path.endsWith('/kind') && /\/(?:items|conditions|audience)\//.test(path)) return null;
  if (path.endsWith('/join')) {
    const { items, conditions } = owner as unknown as { items?: Node[]; conditions?: Node[] };
    return (items ?? conditions ?? []).length === 1 ? null : put(node === 'all' ? 'any' : 'all');
  }
  if (Array.isArray(node)) {
    if (node.length === 0) return null;
    const place = dice.int(0, node.length);
    if (seenOf(node[place - 1]) === seenOf(node[place])) return null;
    // Any of several page rules is enough: their order says nothing.
    if (dice.flip() && place > 0 && !/\/(?:showOn|neverOn)$/.test(path))
      return put([
        ...node.slice(0, place - 1),
        node[place] as Node,
        node[place - 1] as Node,
        ...node.slice(place + 1),
      ]);
    return put(node.filter((_, index) => index !== place));
  }
  if (typeof node === 'object' && node !== null) {
    if (!/\/(?:texts|without|label|help)(?:\/(?:en|pt|de))?$/.test(path) || 'de' in node) return null;
    return /\/texts\/(?:en|pt|de)$/.test(path)
      ? put({ ...node, 'goodbye.again': 'One more?' })
      : path.split('/').includes('widgets') && /widgets\/\d+\/texts$/.test(path)
        ? put({ ...node, de: { greeting: 'Guten Abend' } })
        : put({ ...node, de: 'Auf Deutsch' });
  }
  const name = at;
  if (/\/(?:showOn|neverOn|rules)\/\d+\/(?:kind|part)$/.test(path))
    return put(dice.pick((name === 'kind' ? PAGE_RULE_KINDS : ADDRESS_PARTS).filter((one) => one !== node)));
  if (name === 'is' && /\/(?:items|conditions|audience)\//.test(path))
    return put(node === 'first' ? 'returning' : 'first');
  if (node === null) return put((INSTEAD_OF_NONE[name] ?? 7) as Node);
  if (NONE_CAN_BE.has(name) && name !== 'value' && dice.flip(0.3)) return put(null);
  if (typeof node === 'boolean') return put(!node);
  if (typeof node === 'number') return put(node + dice.int(1, 4));
  return put(
    name === 'defaultText' || (name === 'label' && node === 'note.name') ? 'note.send' : `${node}-x`,
  );
}

describe('changes in words', () => {
  it('law: no change without a sentence, no sentence without a change, both transitions, and no two alike', () => {
    let told = 0;
    for (let seed = 1; seed <= DESIGNS; seed++) {
      const dice = diceOf(seed);
      // What two widgets share in the test is two in the document.
      const written = JSON.stringify(fullDesign(dice));
      const before = JSON.parse(written) as Design;
      const paths = pathsOf(before as unknown as Node);
      expect(changesOf(before, structuredClone(before))).toEqual([]);
      for (let edit = 0; edit < EDITS_EACH; edit++) {
        const after = JSON.parse(written) as Design;
        const path = editOf(dice, after as unknown as Node, dice.pick(paths));
        if (path === null) {
          expect(changesOf(before, after)).toEqual([]);
          continue;
        }
        told++;
        const changes = changesOf(before, after);
        const sentences = changes.map((one) => changeWords(one, CONTEXT));
        const where = `${seed}: ${path}: ${sentences.join(' | ')}`;
        expect(sentences.length, where).toBeGreaterThan(0);
        expect(sentences.length, where).toBeLessThanOrEqual(2);
        expect(new Set(sentences).size, where).toBe(sentences.length);
        expect(sentences.join(), where).not.toMatch(/undefined|\[object|NaN/);
        for (const one of changes.filter(({ kind }) => kind === 'changed')) {
          const { before: old, after: now } = one;
          expect(changeWords({ ...one, before: now, after: old }, CONTEXT), where).not.toBe(
            changeWords(one, CONTEXT),
          );
        }
        expect(changesOf(after, before), where).toHaveLength(changes.length);
      }
    }
    expect(told).toBeGreaterThan(6000);
  });
});
