/** @jsxImportSource preact */
import { useRef, useState } from 'preact/hooks';
import { isMailShaped } from '../../core/forms/mail';
import { LIMITS } from '../../core/limits';
import type { TextKey } from '../../core/words/text-key';
import type { Voice } from '../voice';
import type { NoteReplies, Outgoing } from './talk';

interface NoteFormProps {
  readonly voice: Voice;
  readonly draft: string;
  /** Something was said already, and is kept: the note itself may then stay empty. */
  readonly hasSaid: boolean;
  readonly refused: Outgoing | null;
  readonly onWrite: (draft: string) => void;
  readonly onLeave: (body: string, replies: NoteReplies) => void;
}

type Faults = { readonly text: TextKey | null; readonly mail: TextKey | null };

/** The form of Nobody home. What fails is said at the field, and nothing typed is lost. */
export function NoteForm({ voice, draft, hasSaid, refused, onWrite, onLeave }: NoteFormProps) {
  const [mail, setMail] = useState(refused?.note?.mail ?? '');
  const [name, setName] = useState(refused?.note?.name ?? '');
  const [faults, setFaults] = useState<Faults>({ text: null, mail: null });
  const form = useRef<HTMLFormElement>(null);
  const over = draft.length - LIMITS.messageChars;
  const leave = (event: Event): void => {
    event.preventDefault();
    const found: Faults = {
      text: (draft.trim() === '' && !hasSaid) || over > 0 ? 'note.noText' : null,
      mail: mail.trim() === '' ? 'note.noEmail' : isMailShaped(mail.trim()) ? null : 'note.badEmail',
    };
    setFaults(found);
    const first = found.text !== null ? 'textarea' : found.mail !== null ? 'input[type=email]' : null;
    if (first !== null) return form.current?.querySelector<HTMLElement>(first)?.focus();
    onLeave(draft, { mail: mail.trim(), name: name.trim() });
  };
  return (
    <form class="note-form said" ref={form} noValidate onSubmit={leave}>
      <div class="field">
        <label for="note-text" data-say="note.text">
          {voice('note.text')}
        </label>
        <textarea
          id="note-text"
          class="text tall"
          value={draft}
          onInput={(event) => onWrite(event.currentTarget.value)}
          {...wrong(faults.text, 'note-text')}
        />
        {over > 0 ? (
          <span class="error" id="note-text-fault">
            {voice('input.tooLong', { over })}
          </span>
        ) : (
          <Fault fault={faults.text} id="note-text" voice={voice} />
        )}
      </div>
      <div class="field">
        <label for="note-mail" data-say="note.email">
          {voice('note.email')}
        </label>
        <input
          id="note-mail"
          class="text"
          type="email"
          autocomplete="email"
          dir="ltr"
          maxLength={LIMITS.mailChars}
          value={mail}
          onInput={(event) => setMail(event.currentTarget.value)}
          {...wrong(faults.mail, 'note-mail')}
        />
        {faults.mail === null ? (
          <span class="help" data-say="note.email.help">
            {voice('note.email.help')}
          </span>
        ) : (
          <Fault fault={faults.mail} id="note-mail" voice={voice} />
        )}
      </div>
      <div class="field">
        <label for="note-name" data-say="note.name">
          {voice('note.name')}
        </label>
        <input
          id="note-name"
          class="text"
          autocomplete="name"
          maxLength={LIMITS.noteNameChars}
          value={name}
          onInput={(event) => setName(event.currentTarget.value)}
        />
      </div>
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

function Fault({ fault, id, voice }: { fault: TextKey | null; id: string; voice: Voice }) {
  return fault === null ? null : (
    <span class="error" id={`${id}-fault`} role="alert">
      {voice(fault)}
    </span>
  );
}

function wrong(fault: TextKey | null, id: string) {
  return fault === null ? {} : { 'aria-invalid': true, 'aria-describedby': `${id}-fault` };
}
