/** @jsxImportSource preact */
import { Component, type TargetedKeyboardEvent, createRef } from 'preact';
import { isUnsettled } from '../../core/model/conversation';
import { asksAfter, asksBefore } from '../../core/forms/fill';
import type { FormPlace } from '../../core/model/form';
import type { PaintedText } from '../../core/decide/reader';
import type { TextKey } from '../../core/model/text-keys';
import type { FormatText } from '../format-text';
import { Head } from './head';
import { InvitationCard } from './invitation-card';
import { AfterForm, BeforeForm } from './chat-forms';
import { Composer } from './composer';
import { Entries } from './entries';
import { ForgetMe } from './forget-me';
import type { FormState } from './form-state';
import { NoteForm } from './note-form';
import { SlowReply } from './slow-reply';
import type { TalkPicture } from './talk';

export interface WindowProps {
  readonly painted: PaintedText;
  readonly formatText: FormatText;
  readonly talk: TalkPicture;
  readonly view: WindowView;
  /** Half-written text; it stays through every change of moment ([M5]). */
  readonly draft: string;
  /** Half-filled forms. */
  readonly forms: Readonly<Record<FormPlace, FormState>>;
  readonly acts: WindowActions;
}

/** How the window stands, besides what was decided. */
export interface WindowView {
  readonly isOpen: boolean;
  /** On a phone it is the whole screen: focus stays in it. */
  readonly isModal: boolean;
  /** Address below which the site's pictures are. */
  readonly base: string;
  /** The offer of mail has been declined. */
  readonly isPatient?: boolean;
  /** The form after the chat could not be sent just now. */
  readonly hasFailed?: boolean;
}

export interface WindowActions {
  write(draft: string): void;
  reply(place: FormPlace, id: string, reply: string | readonly string[]): void;
  /** Sends the words at the door or in a conversation; false: something in the form before it does not fit yet. */
  send(body: string): boolean;
  /** Leaves the note as it is filled in, or says at its field what is wrong. */
  leaveNote(): void;
  /** Slow reply: answer me by mail (*address left*). */
  leaveMail(mail: string): void;
  /** Gives the form after the chat. */
  giveAfter(): void;
  end(): void;
  /** [V8] Removes the visitor here and on the server; throws where that did not go through, and then nothing is removed. */
  forget(): Promise<void>;
  askAgain(): void;
  /** Shows what was said before what is here. */
  readEarlier(): void;
  close(): void;
  accept(): void;
  decline(): void;
  /** Slow reply: I will wait. */
  wait(): void;
}

/** The window in every moment. It paints what was decided and decides nothing. */
export function PorchWindow(props: WindowProps) {
  const { painted, formatText, acts } = props;
  const { isOpen, isModal, base } = props.view;
  const { decision } = painted;
  if (decision.moment === 'invited')
    return <InvitationCard painted={painted} formatText={formatText} acts={acts} />;
  return (
    <section
      class="window"
      role="dialog"
      aria-label={formatText('window.title')}
      aria-modal={isModal}
      data-moment={decision.moment}
      hidden={!isOpen}
      onKeyDown={(event) => {
        if (isModal && event.key === 'Tab') keepInside(event);
        if (event.key !== 'Escape') return;
        event.stopPropagation();
        acts.close();
      }}
    >
      <Head painted={painted} formatText={formatText} base={base} onClose={acts.close} />
      <Body {...props} />
    </section>
  );
}

/** From the last one Tab leads to the first, and back. */
function keepInside(event: TargetedKeyboardEvent<HTMLElement>): void {
  const all = [
    ...event.currentTarget.querySelectorAll<HTMLElement>('button, textarea, input, [tabindex="0"]'),
  ];
  const [first, last] = event.shiftKey ? [all.at(-1), all[0]] : [all[0], all.at(-1)];
  if (event.target !== last) return;
  event.preventDefault();
  first?.focus();
}

function Body(props: WindowProps) {
  const { painted, formatText, talk, acts, draft } = props;
  const { decision, widget } = painted;
  if (decision.moment === 'nobody-home') {
    return (
      <div class="note">
        <Card say="nobodyHome" formatText={formatText} />
        {talk.entries.length + talk.outbox.length === 0 ? null : (
          <div class="said">
            <Entries {...props} />
            {isUnsettled(talk.conversation) || talk.outbox.length > 0 ? (
              <p class="line" data-say="nobodyHome.kept">
                {formatText('nobodyHome.kept')}
              </p>
            ) : null}
          </div>
        )}
        <NoteForm
          painted={painted}
          form={props.forms.note}
          formatText={formatText}
          draft={draft}
          hasSaid={isUnsettled(talk.conversation)}
          acts={acts}
          refused={talk.refused}
        />
      </div>
    );
  }
  return (
    <>
      <Log {...props} />
      {decision.moment === 'slow-reply' && talk.conversation?.noteMail === null && !props.view.isPatient ? (
        <SlowReply
          asksMail={painted.site.facts.sendsLetters === true}
          formatText={formatText}
          onLeave={acts.leaveMail}
          onWait={acts.wait}
        />
      ) : null}
      <div class="foot">
        {talk.isConnected ? null : (
          <p class="error" role="status">
            {formatText('talking.lost')}
          </p>
        )}
        <Composer {...props} />
        {decision.moment === 'goodbye' && widget.talks?.offersAgain !== false ? (
          <button type="button" class="button quiet wide" data-say="goodbye.again" onClick={acts.askAgain}>
            {formatText('goodbye.again')}
          </button>
        ) : null}
        {decision.moment === 'goodbye' || decision.moment === 'note-left' ? (
          <ForgetMe formatText={formatText} onForget={acts.forget} />
        ) : null}
      </div>
    </>
  );
}

class Log extends Component<WindowProps> {
  readonly box = createRef<HTMLDivElement>();
  /** Whoever has scrolled up to read stays there, but for what is new. */
  isAtEnd = true;
  newest = '';

  override componentDidMount(): void {
    this.componentDidUpdate();
  }

  override componentDidUpdate(): void {
    const { painted, talk } = this.props;
    const { moment, lines } = painted.decision;
    const newest = [talk.entries.length + talk.outbox.length, moment, lines.length].join();
    const { current } = this.box;
    if (current !== null && (this.isAtEnd || newest !== this.newest))
      current.scrollTop = current.scrollHeight;
    this.newest = newest;
  }

  readonly onScroll = ({ currentTarget }: { readonly currentTarget: HTMLElement }): void => {
    const { scrollTop, clientHeight, scrollHeight } = currentTarget;
    this.isAtEnd = scrollHeight - scrollTop - clientHeight < 8;
  };

  override render(props: WindowProps) {
    const { painted, formatText, talk, acts } = props;
    const { decision } = painted;
    const isAtDoor = decision.moment === 'at-the-door';
    return (
      <div
        class="log"
        ref={this.box}
        onScroll={this.onScroll}
        role="log"
        aria-live="polite"
        aria-label={formatText('window.messages')}
        tabIndex={0}
      >
        {talk.hasEarlier ? <Earlier formatText={formatText} onRead={acts.readEarlier} /> : null}
        {isAtDoor && talk.entries.length === 0 ? <Card say="greeting" formatText={formatText} /> : null}
        <Entries {...props} />
        {isAtDoor && talk.entries.length > 0 ? <Card say="greeting" formatText={formatText} /> : null}
        {decision.lines
          .filter(({ key }) => HOUSE.includes(key))
          .map(({ key }) => (
            <Card key={key} say={key as TextKey} formatText={formatText} />
          ))}
        {decision.moment === 'note-left' && talk.conversation?.isAnswered !== true ? (
          <Card say="noteLeft.got" formatText={formatText} />
        ) : null}
        <ChatForms {...props} />
      </div>
    );
  }
}

/** The form before a chat under the greeting, and the one after it where it has ended. */
function ChatForms({ painted, formatText, talk, acts, forms, view }: WindowProps) {
  const { widget, decision } = painted;
  const { conversation, outbox } = talk;
  if (decision.moment === 'at-the-door' && asksBefore(widget, isUnsettled(conversation) || outbox.length > 0))
    return (
      <BeforeForm
        painted={painted}
        form={forms.before}
        formatText={formatText}
        onReply={(id, reply) => acts.reply('before', id, reply)}
      />
    );
  if (decision.moment !== 'goodbye') return null;
  if (conversation?.isAfterGiven) return <Card say="form.thanks" formatText={formatText} />;
  if (!asksAfter(widget, conversation)) return null;
  const onReply = (id: string, reply: string | readonly string[]): void => acts.reply('after', id, reply);
  return (
    <AfterForm
      painted={painted}
      form={forms.after}
      formatText={formatText}
      hasFailed={view.hasFailed === true}
      onReply={onReply}
      onGive={acts.giveAfter}
    />
  );
}

/** [M7] Lines of the house that stand in the log, from the conversation's own times. */
const HOUSE: readonly string[] = [
  'talking.stepped',
  'waiting.first',
  'waiting.place',
  'waiting.comfort',
  'waiting.closing',
  'slowReply.offer',
  'slowReply.done',
];

/** A text that the published version does not have yet is not said. */
function Card({ say, formatText }: { say: TextKey; formatText: FormatText }) {
  const text = formatText(say);
  return text === '' ? null : (
    <div class="card house" data-say={say}>
      {text}
    </div>
  );
}

function Earlier({ formatText, onRead }: { formatText: FormatText; onRead: () => void }) {
  return (
    <button type="button" class="link" data-say="window.earlier" onClick={onRead}>
      {formatText('window.earlier') || '↑'}
    </button>
  );
}
