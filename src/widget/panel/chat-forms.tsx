/** @jsxImportSource preact */
import type { PaintedText } from '../../core/decide/reader';
import type { FormatText } from '../format-text';
import { FormFields } from './form-fields';
import { type FormState, fieldsAt, teamsOf } from './form-state';

interface ChatFormProps {
  readonly painted: PaintedText;
  readonly form: FormState;
  readonly formatText: FormatText;
  readonly onReply: (id: string, reply: string | readonly string[]) => void;
}

/** What is asked before a chat. It goes along with the first words: there is one thing to send, not two. */
export function BeforeForm({ painted, form, formatText, onReply }: ChatFormProps) {
  return (
    <div class="card asks" data-form="before">
      <FormFields
        fields={fieldsAt(painted, 'before')}
        {...form}
        formatText={formatText}
        teams={teamsOf(painted)}
        onReply={onReply}
      />
    </div>
  );
}

/** What is asked after a chat, until it is given. */
export function AfterForm({
  painted,
  form,
  formatText,
  hasFailed,
  onReply,
  onGive,
}: ChatFormProps & { hasFailed: boolean; onGive: () => void }) {
  return (
    <form
      class="card asks"
      data-form="after"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        onGive();
      }}
    >
      <FormFields
        fields={fieldsAt(painted, 'after')}
        {...form}
        formatText={formatText}
        teams={teamsOf(painted)}
        onReply={onReply}
      />
      {hasFailed ? (
        <p class="error" role="alert">
          {formatText('form.notSent')}
        </p>
      ) : null}
      <button type="submit" class="button send" data-say="input.send">
        {formatText('input.send')}
      </button>
    </form>
  );
}
