/** @jsxImportSource preact */
import { type ReplyFault, isShown } from '../../core/forms/check';
import { LIMITS } from '../../core/limits';
import type { Replies } from '../../core/model/form';
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
  const isGroup =
    field.kind === 'choices' ||
    field.kind === 'yes-no' ||
    (field.kind === 'choice' && field.asButtons === true);
  const help = helpOf(field, formatText);
  const said = fault !== undefined ? `${id}-fault` : help === '' ? undefined : `${id}-help`;
  const wrong = {
    'aria-invalid': fault !== undefined,
    ...(said === undefined ? {} : { 'aria-describedby': said }),
  };
  const control = <Control {...props} id={id} label={label} wrong={wrong} />;
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

interface ControlProps extends FormFieldProps {
  readonly id: string;
  readonly label: string;
  readonly wrong: { readonly 'aria-invalid': boolean; readonly 'aria-describedby'?: string };
}

function Control(props: ControlProps) {
  const { field, replies, onReply, formatText, id, label, wrong, teams } = props;
  const reply = replies[field.id];
  const text = typeof reply === 'string' ? reply : '';
  const chosen = typeof reply === 'object' ? reply : [];
  const write = (value: string): void => onReply(field.id, value);
  switch (field.kind) {
    case 'long':
      return (
        <textarea
          id={id}
          class="text tall"
          value={text}
          {...wrong}
          onInput={(event) => write(event.currentTarget.value)}
        />
      );
    case 'choice':
    case 'team': {
      const options = field.kind === 'team' ? teams : (field.options ?? []);
      if (field.asButtons)
        return <Ticks kind="radio" options={options} chosen={[text]} id={id} onTick={write} />;
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
    case 'choices':
      return (
        <Ticks
          kind="checkbox"
          options={field.options ?? []}
          chosen={chosen}
          id={id}
          onTick={(value) =>
            onReply(
              field.id,
              chosen.includes(value) ? chosen.filter((one) => one !== value) : [...chosen, value],
            )
          }
        />
      );
    case 'yes-no':
      return (
        <Ticks
          kind="radio"
          options={[
            ['yes', formatText('form.yes')],
            ['no', formatText('form.no')],
          ]}
          chosen={[text]}
          id={id}
          onTick={write}
        />
      );
    case 'consent':
      return (
        <span class="tick">
          <input
            id={id}
            type="checkbox"
            checked={text === 'yes'}
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
    default:
      return <TextInput field={field} id={id} text={text} wrong={wrong} onWrite={write} />;
  }
}

interface TextInputProps extends Pick<ControlProps, 'field' | 'id' | 'wrong'> {
  readonly text: string;
  readonly onWrite: (text: string) => void;
}

function TextInput({ field, id, text, wrong, onWrite }: TextInputProps) {
  const shared = { id, class: 'text', value: text, ...wrong, maxLength: LIMITS.messageChars };
  const onInput = (event: { readonly currentTarget: HTMLInputElement }): void =>
    onWrite(event.currentTarget.value);
  switch (field.kind) {
    case 'email':
      return (
        <input
          {...shared}
          type="email"
          autocomplete="email"
          dir="ltr"
          maxLength={LIMITS.mailChars}
          onInput={onInput}
        />
      );
    case 'phone':
      return <input {...shared} type="tel" autocomplete="tel" dir="ltr" onInput={onInput} />;
    case 'date':
      return <input {...shared} type="date" onInput={onInput} />;
    case 'number':
      return <input {...shared} inputMode="decimal" autocomplete="off" onInput={onInput} />;
    default:
      return (
        <input {...shared} autocomplete={field.label === 'note.name' ? 'name' : 'off'} onInput={onInput} />
      );
  }
}

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
