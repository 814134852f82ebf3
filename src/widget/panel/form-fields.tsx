/** @jsxImportSource preact */
import type { ComponentChild } from 'preact';
import { type ReplyFault, isShown } from '../../core/forms/check';
import { LIMITS } from '../../core/limits';
import type { FieldKind, Replies } from '../../core/model/form';
import type { WireField } from '../../core/wire/form-file';
import type { TextKey } from '../../core/model/text-keys';
import type { FormatText } from '../format-text';

export interface FormFieldsProps {
  readonly fields: readonly WireField[];
  readonly replies: Replies;
  readonly faults: Readonly<Record<string, ReplyFault>>;
  readonly formatText: FormatText;
  /** Public names of the teams a *team choice* offers. */
  readonly teams: readonly (readonly [id: string, name: string])[];
  readonly onReply: (id: string, reply: string | readonly string[]) => void;
}

/** The fields of a form that are shown by the replies so far. What fails is said at its field. */
export function FormFields(props: FormFieldsProps) {
  const shown = props.fields.filter((field) => field.kind !== 'hidden' && isShown(field, props.replies));
  return (
    <>
      {shown.map((field) => (
        <FormField key={field.id} field={field} {...props} />
      ))}
    </>
  );
}

interface FormFieldProps extends FormFieldsProps {
  readonly field: WireField;
}

function FormField(props: FormFieldProps) {
  const { field, formatText, faults } = props;
  const id = `field-${field.id}`;
  const fault = faults[field.id];
  const label = field.label ? formatText(field.label as TextKey) : (field.words ?? '');
  const isGroup = GROUPED.has(field.kind) || (field.kind === 'choice' && field.asButtons === true);
  const help = helpOf(field, formatText);
  const said = fault !== undefined ? `${id}-fault` : help === '' ? undefined : `${id}-help`;
  const wrong = {
    'aria-invalid': fault !== undefined,
    ...(said === undefined ? {} : { 'aria-describedby': said }),
  };
  const Control = CONTROLS[field.kind] ?? Short; // a kind that a later program knows
  const control = (
    <Control
      field={field}
      reply={props.replies[field.id]}
      teams={props.teams}
      write={(reply) => props.onReply(field.id, reply)}
      {...{ formatText, id, label, wrong }}
    />
  );
  return (
    <div class="field">
      {field.kind === 'consent' ? (
        control
      ) : isGroup ? (
        <fieldset class="group" {...wrong}>
          <legend>{label}</legend>
          {control}
        </fieldset>
      ) : (
        <>
          <label for={id} {...(field.label ? { 'data-say': field.label } : {})}>
            {label}
          </label>
          {control}
        </>
      )}
      {fault !== undefined ? (
        <span class="error" id={`${id}-fault`} role="alert">
          {formatText(fault.say, fault.bound === undefined ? {} : { bound: fault.bound })}
        </span>
      ) : help === '' ? null : (
        <span class="help" id={`${id}-help`} {...(field.label ? { 'data-say': `${field.label}.help` } : {})}>
          {help}
        </span>
      )}
    </div>
  );
}

function helpOf({ label, help }: WireField, formatText: FormatText): string {
  return help ?? (label === 'note.email' ? formatText('note.email.help') : '');
}

interface ControlProps extends Pick<FormFieldsProps, 'formatText' | 'teams'> {
  readonly field: WireField;
  readonly reply: Replies[string] | undefined;
  readonly id: string;
  readonly label: string;
  readonly wrong: { readonly 'aria-invalid': boolean; readonly 'aria-describedby'?: string };
  write(reply: string | readonly string[]): void;
}

function textOf({ reply }: ControlProps): string {
  return typeof reply === 'string' ? reply : '';
}

function inputOf(props: ControlProps) {
  const { id, wrong, write } = props;
  return {
    id,
    class: 'text',
    value: textOf(props),
    ...wrong,
    maxLength: LIMITS.messageChars,
    onInput: (event: { readonly currentTarget: HTMLInputElement }): void => write(event.currentTarget.value),
  };
}

function Short(props: ControlProps) {
  return <input {...inputOf(props)} autocomplete={props.field.label === 'note.name' ? 'name' : 'off'} />;
}

function Long(props: ControlProps) {
  const { id, wrong, write } = props;
  return (
    <textarea
      id={id}
      class="text tall"
      value={textOf(props)}
      {...wrong}
      onInput={(event) => write(event.currentTarget.value)}
    />
  );
}

function Email(props: ControlProps) {
  return (
    <input {...inputOf(props)} type="email" autocomplete="email" dir="ltr" maxLength={LIMITS.mailChars} />
  );
}

function Choice(props: ControlProps) {
  const { field, formatText, teams, id, wrong, write } = props;
  const options = field.kind === 'team' ? teams : (field.options ?? []);
  const text = textOf(props);
  if (field.asButtons) return <Ticks kind="radio" options={options} chosen={[text]} id={id} onTick={write} />;
  return (
    <select
      id={id}
      class="text"
      value={text}
      {...wrong}
      onChange={(event) => write(event.currentTarget.value)}
    >
      <option value="">{formatText('form.choose')}</option>
      {options.map(([value, words]) => (
        <option key={value} value={value}>
          {words}
        </option>
      ))}
    </select>
  );
}

function Choices({ field, reply, id, write }: ControlProps) {
  const chosen = typeof reply === 'object' ? reply : [];
  const turn = (value: string): void =>
    write(chosen.includes(value) ? chosen.filter((one) => one !== value) : [...chosen, value]);
  return <Ticks kind="checkbox" options={field.options ?? []} chosen={chosen} id={id} onTick={turn} />;
}

function YesNo(props: ControlProps) {
  const { formatText, id, write } = props;
  const options = [
    ['yes', formatText('form.yes')],
    ['no', formatText('form.no')],
  ] as const;
  return <Ticks kind="radio" options={options} chosen={[textOf(props)]} id={id} onTick={write} />;
}

function Consent(props: ControlProps) {
  const { field, id, label, wrong, write } = props;
  return (
    <span class="tick">
      <input
        id={id}
        type="checkbox"
        checked={textOf(props) === 'yes'}
        {...wrong}
        onChange={(event) => write(event.currentTarget.checked ? 'yes' : '')}
      />
      <label for={id}>
        {label}{' '}
        {field.link === undefined ? null : (
          <a class="link" href={field.link} target="_blank" rel="noopener noreferrer">
            {field.link.replace(/^https?:\/\//, '')}
          </a>
        )}
      </label>
    </span>
  );
}

/** What each kind of field is filled in with. */
const CONTROLS: { readonly [K in FieldKind]: (props: ControlProps) => ComponentChild } = {
  short: Short,
  long: Long,
  email: Email,
  phone: (props) => <input {...inputOf(props)} type="tel" autocomplete="tel" dir="ltr" />,
  number: (props) => <input {...inputOf(props)} inputMode="decimal" autocomplete="off" />,
  date: (props) => <input {...inputOf(props)} type="date" />,
  choice: Choice,
  choices: Choices,
  'yes-no': YesNo,
  team: Choice,
  consent: Consent,
  hidden: () => null,
};

/** Kinds that are made of several controls with one name. */
const GROUPED: ReadonlySet<FieldKind> = new Set(['choices', 'yes-no']);

interface TicksProps {
  readonly kind: 'radio' | 'checkbox';
  readonly options: readonly (readonly [value: string, words: string])[];
  readonly chosen: readonly string[];
  readonly id: string;
  readonly onTick: (value: string) => void;
}

function Ticks({ kind, options, chosen, id, onTick }: TicksProps) {
  return (
    <>
      {options.map(([value, words], place) => (
        <span class="tick" key={value}>
          <input
            id={`${id}-${place}`}
            name={id}
            type={kind}
            checked={chosen.includes(value)}
            onChange={() => onTick(value)}
          />
          <label for={`${id}-${place}`}>{words}</label>
        </span>
      ))}
    </>
  );
}
