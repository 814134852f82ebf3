/** @jsxImportSource preact */
import type { ComponentChildren } from 'preact';
import { useRef } from 'preact/hooks';
import { LIMITS } from '../../core/limits';
import type { TextKey } from '../../core/model/text-keys';
import type { FormatText } from '../format-text';
import type { WindowProps } from './window';

/** Where one writes; Enter sends. What is too long stays in the field and is told. */
export function Composer({ painted, formatText, talk, draft, acts }: WindowProps) {
  const { decision } = painted;
  const field = useRef<HTMLTextAreaElement>(null);
  const over = draft.length - LIMITS.messageChars;
  const label: TextKey =
    decision.moment === 'at-the-door' || decision.moment === 'talking' ? 'input.label' : 'input.add';
  const send = (): void => {
    if (draft.trim() === '' || over > 0) return field.current?.focus();
    if (acts.send(draft)) field.current?.focus();
  };
  return (
    <>
      <Hint
        isRefused={talk.refused !== null}
        over={over}
        left={-over}
        length={draft.length}
        formatText={formatText}
      />
      <div class="row">
        <textarea
          ref={field}
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
            send();
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

function Hint({
  isRefused,
  over,
  left,
  length,
  formatText,
}: {
  isRefused: boolean;
  over: number;
  left: number;
  length: number;
  formatText: FormatText;
}) {
  const text: ComponentChildren =
    over > 0
      ? formatText('input.tooLong', { over })
      : isRefused
        ? formatText('input.refused')
        : length >= LIMITS.messageCounterFrom
          ? formatText('input.left', { left })
          : null;
  return text === null ? null : (
    <p class={over > 0 || isRefused ? 'error' : 'help'} role="status">
      {text}
    </p>
  );
}
