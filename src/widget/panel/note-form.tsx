/** @jsxImportSource preact */
import { useRef, useState } from 'preact/hooks';
import { type ReplyFault, checkReplies } from '../../core/forms/check';
import { LIMITS } from '../../core/limits';
import type { Replies } from '../../core/model/form';
import type { WireField } from '../../core/wire/form-file';
import type { Voice } from '../voice';
import { FormFields } from './form-fields';
import type { NoteReplies, Outgoing } from './talk';

interface NoteFormProps {
  readonly fields: readonly WireField[];
  readonly teams: readonly (readonly [id: string, name: string])[];
  /** What was kept of an earlier reply, by field ([V7]). */
  readonly kept: Readonly<Record<string, string>>;
  readonly voice: Voice;
  readonly draft: string;
  /** Something was said already, and is kept: the note itself may then stay empty. */
  readonly hasSaid: boolean;
  readonly refused: Outgoing | null;
  readonly onWrite: (draft: string) => void;
  readonly onLeave: (body: string, replies: NoteReplies) => void;
}

/** The form of Nobody home, as the design has it. What fails is said at the field, and nothing typed is lost. */
export function NoteForm({ fields, teams, kept, voice, draft, hasSaid, refused, onWrite, onLeave }: NoteFormProps) {
  const words = fields.find(({ kind }) => kind === 'long');
  const asked = hasSaid ? fields.map((field) => (field === words ? { ...field, isRequired: false } : field)) : fields;
  const [own, setOwn] = useState<Replies>(() => ({ ...keptReplies(fields, kept), ...refused?.note?.replies }));
  const [faults, setFaults] = useState<Readonly<Record<string, ReplyFault>>>({});
  const form = useRef<HTMLFormElement>(null);
  const replies: Replies = words === undefined ? own : { ...own, [words.id]: draft };
  const over = draft.length - LIMITS.messageChars;
  const leave = (event: Event): void => {
    event.preventDefault();
    const checked = checkReplies(
      asked,
      replies,
      teams.map(([id]) => id),
    );
    setFaults(checked.faults);
    const [first] = fields.filter(({ id }) => Object.hasOwn(checked.faults, id));
    if (first !== undefined) return form.current?.querySelector<HTMLElement>(`[id^="field-${first.id}"]`)?.focus();
    onLeave(draft, toNote(fields, checked.replies));
  };
  return (
    <form class="note-form said" ref={form} noValidate onSubmit={leave}>
      <FormFields
        fields={asked}
        replies={replies}
        faults={faults}
        voice={voice}
        teams={teams}
        onReply={(id, reply) => (id === words?.id ? onWrite(String(reply)) : setOwn({ ...own, [id]: reply }))}
      />
      {over > 0 ? (
        <p class="error" role="status">
          {voice('input.tooLong', { over })}
        </p>
      ) : null}
      {refused === null ? null : (
        <p class="error" role="status">
          {voice('input.refused')}
        </p>
      )}
      <div class="last">
        <button type="submit" class="button send wide" data-say="note.send">
          {voice('note.send')}
        </button>
      </div>
    </form>
  );
}

function keptReplies(fields: readonly WireField[], kept: Readonly<Record<string, string>>): Replies {
  return Object.fromEntries(fields.filter(({ id, isKept }) => isKept && Object.hasOwn(kept, id)).map(({ id }) => [id, kept[id] ?? '']));
}

/** The address and the name have a place of their own in a note; every reply goes along by its field. */
function toNote(fields: readonly WireField[], replies: Replies): NoteReplies {
  const textOf = (field: WireField | undefined): string => (field === undefined ? '' : String(replies[field.id] ?? ''));
  return {
    mail: textOf(fields.find(({ kind }) => kind === 'email')),
    name: textOf(fields.find(({ label }) => label === 'note.name')).slice(0, LIMITS.noteNameChars),
    replies,
  };
}
