/** @jsxImportSource preact */
import { useState } from 'preact/hooks';
import { isMailShaped } from '../../core/forms/mail';
import { LIMITS } from '../../core/limits';
import type { TextKey } from '../../core/model/text-keys';
import type { FormatText } from '../format-text';

interface SlowReplyProps {
  readonly formatText: FormatText;
  readonly onLeave: (mail: string) => void;
  readonly onWait: () => void;
}

/** Nobody has answered for a while: an answer by mail instead (*address left*), or waiting on. */
export function SlowReply({ formatText, onLeave, onWait }: SlowReplyProps) {
  const [mail, setMail] = useState('');
  const [fault, setFault] = useState<TextKey | null>(null);
  const leave = (event: Event): void => {
    event.preventDefault();
    const found = mail.trim() === '' ? 'note.noEmail' : isMailShaped(mail.trim()) ? null : 'note.badEmail';
    setFault(found);
    if (found === null) onLeave(mail.trim());
  };
  return (
    <form class="slow" noValidate onSubmit={leave}>
      <label for="slow-mail" data-say="note.email">
        {formatText('note.email')}
      </label>
      <input
        id="slow-mail"
        class="text"
        type="email"
        autocomplete="email"
        dir="ltr"
        maxLength={LIMITS.mailChars}
        value={mail}
        aria-invalid={fault !== null}
        aria-describedby={fault === null ? undefined : 'slow-fault'}
        onInput={(event) => setMail(event.currentTarget.value)}
      />
      {fault === null ? null : (
        <span class="error" id="slow-fault" role="alert">
          {formatText(fault)}
        </span>
      )}
      <div class="row">
        <button type="submit" class="button send" data-say="slowReply.yes">
          {formatText('slowReply.yes')}
        </button>
        <button type="button" class="button quiet" data-say="slowReply.no" onClick={onWait}>
          {formatText('slowReply.no')}
        </button>
      </div>
    </form>
  );
}
