/** @jsxImportSource preact */
import type { Heard } from '../../core/words/hearer';
import type { Voice } from '../voice';
import { FormFields } from './form-fields';
import { type FormState, teamsOf } from './form-state';

interface ChatFormProps {
  readonly heard: Heard;
  readonly form: FormState;
  readonly voice: Voice;
  readonly onReply: (id: string, reply: string | readonly string[]) => void;
}

/** What is asked before a chat (engine.md §6). It goes along with the first words: there is one thing to send, not two. */
export function BeforeForm({ heard, form, voice, onReply }: ChatFormProps) {
  return (
    <div class="card asks" data-form="before">
      <FormFields
        fields={heard.widget.forms.before}
        {...form}
        voice={voice}
        teams={teamsOf(heard)}
        onReply={onReply}
      />
    </div>
  );
}

/** What is asked after a chat, until it is given. */
export function AfterForm({
  heard,
  form,
  voice,
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
        fields={heard.widget.forms.after ?? []}
        {...form}
        voice={voice}
        teams={teamsOf(heard)}
        onReply={onReply}
      />
      {hasFailed ? (
        <p class="error" role="alert">
          {voice('form.notSent')}
        </p>
      ) : null}
      <button type="submit" class="button send" data-say="input.send">
        {voice('input.send')}
      </button>
    </form>
  );
}
