/** @jsxImportSource preact */
import { Component } from 'preact';
import { isMailShaped } from '../../core/forms/mail';
import { LIMITS } from '../../core/limits';
import type { TextKey } from '../../core/model/text-keys';
import type { FormatText } from '../format-text';

interface SlowReplyProps {
  /** Else the question is kept as a note, to be answered here. */
  readonly asksMail: boolean;
  readonly formatText: FormatText;
  readonly onLeave: (mail: string) => void;
  readonly onWait: () => void;
}

/** Nobody has answered for a while: an answer by e-mail instead, or a note (*address left*), or waiting on. */
export class SlowReply extends Component<SlowReplyProps> {
  override readonly state = { mail: '', fault: null as TextKey | null };

  readonly leave = (event: Event): void => {
    event.preventDefault();
    const mail = this.state.mail.trim();
    const fault = this.props.asksMail ? faultOf(mail) : null;
    this.setState({ fault });
    if (fault === null) this.props.onLeave(mail);
  };

  override render({ asksMail, formatText, onWait }: SlowReplyProps) {
    return (
      <form class="slow" noValidate onSubmit={this.leave}>
        {asksMail ? this.field(formatText) : null}
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

  field(formatText: FormatText) {
    const { mail, fault } = this.state;
    return (
      <>
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
          onInput={(event) => this.setState({ mail: event.currentTarget.value })}
        />
        {fault === null ? null : (
          <span class="error" id="slow-fault" role="alert">
            {formatText(fault)}
          </span>
        )}
      </>
    );
  }
}

function faultOf(mail: string): TextKey | null {
  if (mail === '') return 'note.noEmail';
  return isMailShaped(mail) ? null : 'note.badEmail';
}
