import { type ComponentChild, type VNode, h, isValidElement } from 'preact';
import { describe, expect, it } from 'vitest';
import { FIELD_KINDS, type FieldKind } from '../../core/model/form';
import type { WireField } from '../../core/wire/form-file';
import { FormFields, type FormFieldsProps } from './form-fields';

type Props = Readonly<Record<string, unknown>>;
type Node = VNode<Props>;

/** What is drawn, down to the elements of the page, in order. */
function elementsOf(child: ComponentChild): Node[] {
  if (Array.isArray(child)) return child.flatMap((one: ComponentChild) => elementsOf(one));
  if (!isValidElement(child)) return [];
  const { type, props } = child as Node;
  if (typeof type === 'function') return elementsOf((type as (props: Props) => ComponentChild)(props));
  return [child, ...elementsOf(props['children'] as ComponentChild)];
}

function drawn(
  field: Partial<WireField> & { readonly kind: FieldKind },
  more: Partial<FormFieldsProps> = {},
) {
  const replied: unknown[] = [];
  const props: FormFieldsProps = {
    fields: [{ id: 'one', words: 'Ours', isRequired: false, ...field }],
    replies: {},
    faults: {},
    formatText: (key: string) => key,
    teams: [['t1', 'Night desk']],
    onReply: (id, reply) => replied.push([id, reply]),
    ...more,
  };
  const all = elementsOf(h(FormFields, props));
  const controls = all.filter(({ type }) => ['input', 'textarea', 'select'].includes(String(type)));
  return { all, controls, replied };
}

const OPTIONS = [
  ['a', 'Aurora'],
  ['b', 'Bolide'],
] as const;

describe('the fields of a form', () => {
  it('each kind is filled in with its own control, named by its label; hidden ones are not shown', () => {
    const named = FIELD_KINDS.map((kind) => {
      const { controls } = drawn({ kind, options: OPTIONS });
      return [kind, controls.map(({ type, props }) => `${(props['type'] ?? type) as string}`).join(' ')];
    });
    expect(Object.fromEntries(named)).toEqual({
      short: 'input',
      long: 'textarea',
      email: 'email',
      phone: 'tel',
      number: 'input',
      date: 'date',
      choice: 'select',
      choices: 'checkbox checkbox',
      'yes-no': 'radio radio',
      team: 'select',
      consent: 'checkbox',
      hidden: '',
    });
  });

  it('[D4] a kind that a later program knows is filled in as a short text', () => {
    const { controls } = drawn({ kind: 'made-up' as FieldKind });
    expect(controls.map(({ type, props }) => [type, props['autocomplete']])).toEqual([['input', 'off']]);
  });

  it('what fails is said at its field, and the field says so', () => {
    const { all, controls } = drawn({ kind: 'short' }, { faults: { one: { say: 'form.missing' } } });
    expect(controls[0]?.props).toMatchObject({ 'aria-invalid': true, 'aria-describedby': 'field-one-fault' });
    expect(all.find(({ props }) => props['role'] === 'alert')?.props['id']).toBe('field-one-fault');
  });

  it('of several choices one more is added, one that was chosen is taken out', () => {
    const { controls, replied } = drawn({ kind: 'choices', options: OPTIONS }, { replies: { one: ['a'] } });
    expect(controls.map(({ props }) => props['checked'])).toEqual([true, false]);
    for (const { props } of controls) (props['onChange'] as () => void)();
    expect(replied).toEqual([
      ['one', []],
      ['one', ['a', 'b']],
    ]);
  });

  it('a field that is shown only after another reply stands there with it alone', () => {
    const fields: WireField[] = [
      { id: 'first', kind: 'yes-no', isRequired: true },
      { id: 'then', kind: 'short', isRequired: false, shownIf: ['first', 'yes'] },
    ];
    const count = (reply: string) =>
      drawn({ kind: 'short' }, { fields, replies: { first: reply } }).controls.length;
    expect([count('no'), count('yes')]).toEqual([2, 3]);
  });
});
