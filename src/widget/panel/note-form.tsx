/** @jsxImportSource preact */
import { wordsField } from '../../core/forms/fill';
import { LIMITS } from '../../core/limits';
import type { Replies } from '../../core/model/form';
import type { WireField } from '../../core/wire/form-file';
import type { PaintedText } from '../../core/decide/reader';
import type { FormatText } from '../format-text';
import { FormFields } from './form-fields';
import { type FormState, fieldsAt, teamsOf } from './form-state';
import type { WindowActions } from './window';
import type { NoteReplies, Outgoing } from './outbox';

interface NoteFormProps {
  readonly painted: PaintedText;
  readonly form: FormState;
  readonly formatText: FormatText;
  readonly draft: string;
  /** Something was said already, and is kept: the note itself may then stay empty. */
  readonly hasSaid: boolean;
  readonly refused: Outgoing | null;
  readonly acts: Pick<WindowActions, 'write' | 'reply' | 'leaveNote'>;
}

/** The form of Nobody home, as the design has it. What fails is said at the field, and nothing typed is lost. */
export function NoteForm({ painted, form, formatText, draft, hasSaid, refused, acts }: NoteFormProps) {
  const fields = fieldsAt(painted, 'note', hasSaid);
  const words = wordsField(fields);
  const over = draft.length - LIMITS.messageChars;
  return (
    <form
      class="note-form said"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        acts.leaveNote();
      }}
    >
      <FormFields
        fields={fields}
        replies={words === undefined ? form.replies : { ...form.replies, [words.id]: draft }}
        faults={form.faults}
        formatText={formatText}
        teams={teamsOf(painted)}
        onReply={(id, reply) =>
          id === words?.id ? acts.write(String(reply)) : acts.reply('note', id, reply)
        }
      />
      {over > 0 ? (
        <p class="error" role="status">
          {formatText('input.tooLong', { over })}
        </p>
      ) : null}
      {refused === null ? null : (
        <p class="error" role="status">
          {formatText('input.refused')}
        </p>
      )}
      <div class="last">
        <button type="submit" class="button send wide" data-say="note.send">
          {formatText('note.send')}
        </button>
      </div>
    </form>
  );
}

/** The address and the name have a place of their own in a note; every reply goes along by its field. */
export function toNote(fields: readonly WireField[], replies: Replies): NoteReplies {
  const textOf = (field: WireField | undefined): string =>
    field === undefined ? '' : String(replies[field.id] ?? '');
  return {
    mail: textOf(fields.find(({ kind }) => kind === 'email')),
    name: textOf(fields.find(({ label }) => label === 'note.name')).slice(0, LIMITS.noteNameChars),
    replies,
  };
}
