/** @jsxImportSource preact */
import { LIMITS } from '../../core/limits';
import type { Moment } from '../../core/model/moment';
import type { TextKey } from '../../core/model/text-keys';
import type { FormatText } from '../format-text';
import type { WindowProps } from './window';

/** Where one writes; Enter sends. What is too long stays in the field and is told. */
export function Composer({ painted, formatText, talk, draft, acts }: WindowProps) {
  const { decision } = painted;
  const over = draft.length - LIMITS.messageChars;
  const label: TextKey = addsTo(decision.moment, talk) ? 'input.add' : 'input.label';
  const send = ({ currentTarget }: Event): void => {
    const isTaken = draft.trim() !== '' && over <= 0 && acts.send(draft);
    // A form that does not fit has the focus on its fault.
    if (isTaken || draft.trim() === '' || over > 0) fieldBeside(currentTarget as HTMLElement)?.focus();
  };
  return (
    <>
      <Hint isRefused={talk.refused !== null} over={over} length={draft.length} formatText={formatText} />
      <div class="row">
        <textarea
          class="text"
          rows={1}
          value={draft}
          placeholder={formatText(label)}
          aria-label={formatText(label)}
          aria-invalid={over > 0}
          data-say={label}
          onInput={(event) => acts.write(event.currentTarget.value)}
          onKeyDown={(event) => {
            if (event.key !== 'Enter' || event.shiftKey || event.isComposing) return;
            event.preventDefault();
            send(event);
          }}
        />
        <button type="button" class="button send" data-say="input.send" onClick={send}>
          {formatText('input.send')}
        </button>
      </div>
      {decision.moment === 'talking' || decision.moment === 'waiting' || decision.moment === 'slow-reply' ? (
        <button type="button" class="link" data-say="talking.end" onClick={acts.end}>
          {formatText('talking.end')}
        </button>
      ) : null}
    </>
  );
}

/** Whether what is written here is added to what waits already. */
function addsTo(moment: Moment, { conversation }: WindowProps['talk']): boolean {
  return (
    moment === 'waiting' || moment === 'slow-reply' || (moment === 'note-left' && !conversation?.isAnswered)
  );
}

function fieldBeside({ parentElement }: HTMLElement): HTMLElement | null {
  return parentElement && parentElement.querySelector('textarea');
}

interface HintProps {
  readonly isRefused: boolean;
  readonly over: number;
  readonly length: number;
  readonly formatText: FormatText;
}

function Hint(props: HintProps) {
  const text = hintText(props);
  return text === null ? null : (
    <p class={props.over > 0 || props.isRefused ? 'error' : 'help'} role="status">
      {text}
    </p>
  );
}

function hintText({ isRefused, over, length, formatText }: HintProps): string | null {
  if (over > 0) return formatText('input.tooLong', { over });
  if (isRefused) return formatText('input.refused');
  return length >= LIMITS.messageCounterFrom ? formatText('input.left', { left: -over }) : null;
}
