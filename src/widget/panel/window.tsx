/** @jsxImportSource preact */
import type { ComponentChildren, TargetedKeyboardEvent } from 'preact';
import { useEffect, useRef } from 'preact/hooks';
import type { Decision } from '../../core/decide/decide';
import type { Replies } from '../../core/model/form';
import { LIMITS } from '../../core/limits';
import { LAMP_OUTLINE, LAMP_PATHS, type LampMark, lampOf } from '../../core/model/lamp';
import type { VisitorEntry } from '../../core/wire/talk';
import type { Heard } from '../../core/words/hearer';
import type { TextKey } from '../../core/words/text-key';
import type { Voice } from '../voice';
import { InvitationCard } from './invitation-card';
import { NoteForm } from './note-form';
import { SlowReply } from './slow-reply';
import type { NoteReplies, Outgoing, TalkPicture } from './talk';

export interface WindowProps {
  readonly heard: Heard;
  readonly voice: Voice;
  readonly talk: TalkPicture;
  readonly isOpen: boolean;
  /** On a phone it is the whole screen: focus stays in it. */
  readonly isModal: boolean;
  /** Half-written text; it stays through every change of moment ([M5]). */
  readonly draft: string;
  /** The offer of mail has been declined. */
  readonly isPatient?: boolean;
  readonly acts: WindowActs;
}

export interface WindowActs {
  write(draft: string): void;
  send(body: string, replies?: Replies): void;
  leaveNote(body: string, replies: NoteReplies): void;
  end(): void;
  askAgain(): void;
  close(): void;
  accept(): void;
  decline(): void;
  /** Slow reply: I will wait. */
  wait(): void;
}

/** The window in every moment. It paints what was decided and decides nothing. */
export function PorchWindow(props: WindowProps) {
  const { heard, voice, acts, isOpen, isModal } = props;
  const { decision } = heard;
  if (decision.moment === 'invited') return <InvitationCard heard={heard} voice={voice} acts={acts} />;
  return (
    <section
      class="window"
      role="dialog"
      aria-label={voice('window.title')}
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
      <Head decision={decision} voice={voice} onClose={acts.close} />
      <Body {...props} />
    </section>
  );
}

/** From the last one Tab leads to the first, and back. */
function keepInside(event: TargetedKeyboardEvent<HTMLElement>): void {
  const all = [...event.currentTarget.querySelectorAll<HTMLElement>('button, textarea, input, [tabindex="0"]')];
  const [first, last] = event.shiftKey ? [all.at(-1), all[0]] : [all[0], all.at(-1)];
  if (event.target !== last) return;
  event.preventDefault();
  first?.focus();
}

function Body(props: WindowProps) {
  const { heard, voice, talk, acts, draft } = props;
  const { decision, widget } = heard;
  if (decision.moment === 'nobody-home') {
    return (
      <div class="note">
        <Card say="nobodyHome" voice={voice} />
        {talk.conversation === null && talk.outbox.length === 0 ? null : (
          <div class="said">
            <Entries {...props} />
            <p class="line" data-say="nobodyHome.kept">
              {voice('nobodyHome.kept')}
            </p>
          </div>
        )}
        <NoteForm
          fields={widget.forms.note}
          teams={teamsOf(heard)}
          kept={heard.circumstances.memory.replies}
          voice={voice}
          draft={draft}
          hasSaid={talk.conversation !== null}
          onWrite={acts.write}
          onLeave={acts.leaveNote}
          refused={talk.refused}
        />
      </div>
    );
  }
  return (
    <>
      <Log {...props} />
      {decision.moment === 'slow-reply' && talk.conversation?.noteMail === null && !props.isPatient ? (
        <SlowReply voice={voice} onLeave={acts.leaveNote} onWait={acts.wait} />
      ) : null}
      <div class="foot">
        {talk.isConnected ? null : (
          <p class="error" role="status">
            {voice('talking.lost')}
          </p>
        )}
        {decision.moment === 'goodbye' ? (
          <button type="button" class="button send wide" data-say="goodbye.again" onClick={acts.askAgain}>
            {voice('goodbye.again')}
          </button>
        ) : (
          <Composer {...props} />
        )}
      </div>
    </>
  );
}

/** Teams of the widget by their public names ([D6]: one that is gone is not offered). */
function teamsOf({ site, widget }: Heard): [id: string, name: string][] {
  return widget.teams.flatMap((id): [string, string][] => {
    const team = site.facts.teams[id];
    return team === undefined ? [] : [[id, team.name[site.design.locale] ?? Object.values(team.name)[0] ?? id]];
  });
}

const STATUS: Partial<Record<Decision['moment'], TextKey>> = {
  waiting: 'waiting.status',
  'slow-reply': 'waiting.status',
  talking: 'talking.status',
  goodbye: 'goodbye.status',
  'note-left': 'noteLeft.status',
};

function Head({ decision, voice, onClose }: { decision: Decision; voice: Voice; onClose: () => void }) {
  const isUntil = decision.lines.some(({ key: one }) => one === 'status.until');
  const key = isUntil ? 'status.until' : (STATUS[decision.moment] ?? 'status');
  return (
    <div class="head">
      <div class="head-words">
        <h2 class="title" data-say="window.title">
          {voice('window.title')}
        </h2>
        <div class="state">
          <Lamp mark={lampOf(decision.state, decision.isStateKnown)} />
          <span data-say={key} role="status">
            {voice(key)}
          </span>
        </div>
      </div>
      <button type="button" class="button close" aria-label={voice('window.close')} onClick={onClose}>
        <svg viewBox="0 0 24 24" aria-hidden="true">
          <path d="M6 6l12 12M18 6L6 18" />
        </svg>
      </button>
    </div>
  );
}

function Lamp({ mark }: { mark: LampMark }) {
  return (
    <svg viewBox="0 0 24 24" aria-hidden="true" data-lamp={mark}>
      <path class="lamp-light" d={LAMP_PATHS[mark][0]} />
      <path class="lamp-line" d={LAMP_OUTLINE + LAMP_PATHS[mark][1]} />
    </svg>
  );
}

function Log(props: WindowProps) {
  const { heard, voice, talk } = props;
  const { decision } = heard;
  const box = useRef<HTMLDivElement>(null);
  const count = talk.entries.length + talk.outbox.length;
  useEffect(() => {
    if (box.current !== null) box.current.scrollTop = box.current.scrollHeight;
  }, [count, decision.moment, decision.lines.length]);
  const isAtDoor = decision.moment === 'at-the-door';
  return (
    <div class="log" ref={box} role="log" aria-live="polite" aria-label={voice('window.messages')} tabIndex={0}>
      {isAtDoor && talk.entries.length === 0 ? <Card say="greeting" voice={voice} /> : null}
      <Entries {...props} />
      {isAtDoor && talk.entries.length > 0 ? <Card say="greeting" voice={voice} /> : null}
      {decision.lines
        .filter(({ key }) => HOUSE.includes(key))
        .map(({ key }) => (
          <Card key={key} say={key as TextKey} voice={voice} />
        ))}
      {decision.moment === 'note-left' ? <Card say="noteLeft.got" voice={voice} /> : null}
    </div>
  );
}

/** [M7] Lines of the house that stand in the log, from the conversation's own times. */
const HOUSE: readonly string[] = ['waiting.first', 'waiting.comfort', 'waiting.closing', 'slowReply.offer', 'slowReply.done'];

function Card({ say, voice }: { say: TextKey; voice: Voice }) {
  return (
    <div class="card house" data-say={say}>
      {voice(say)}
    </div>
  );
}

function Entries({ talk, voice }: WindowProps) {
  return (
    <>
      {talk.entries.map((entry) => (
        <Entry key={entry.id} entry={entry} voice={voice} />
      ))}
      {talk.outbox.map((one) => (
        <Waiting key={one.clientId} one={one} voice={voice} />
      ))}
    </>
  );
}

function Entry({ entry, voice }: { entry: VisitorEntry; voice: Voice }) {
  if (entry.kind === 'joined')
    return (
      <p class="line" data-entry={entry.id} data-say="talking.joined">
        {voice('talking.joined', { responderName: entry.name ?? '' })}
      </p>
    );
  if (entry.kind === 'ended') {
    const key = entry.author === 'visitor' ? 'goodbye.byVisitor' : entry.author === 'person' ? 'goodbye.byResponder' : 'goodbye.bySilence';
    return (
      <p class="line" data-entry={entry.id} data-say={key}>
        {voice(key, { responderName: entry.name ?? '' })}
      </p>
    );
  }
  const isVisitor = entry.author === 'visitor';
  return (
    <div class={isVisitor ? 'card visitor' : 'card person'} data-entry={entry.id}>
      <span class={isVisitor ? 'hidden' : 'who'}>{isVisitor ? voice('talking.you') : entry.name}</span>
      <bdi>{entry.body}</bdi>
    </div>
  );
}

function Waiting({ one, voice }: { one: Outgoing; voice: Voice }) {
  return (
    <>
      <div class="card visitor" data-outgoing={one.clientId}>
        <bdi>{one.body}</bdi>
      </div>
      <p class="progress">{voice(one.standing === 'waiting' ? 'input.notSent' : 'talking.sending')}</p>
    </>
  );
}

function Composer({ heard, voice, talk, draft, acts }: WindowProps) {
  const { decision } = heard;
  const field = useRef<HTMLTextAreaElement>(null);
  const over = draft.length - LIMITS.messageChars;
  const label: TextKey = decision.moment === 'at-the-door' || decision.moment === 'talking' ? 'input.label' : 'input.add';
  const send = (): void => {
    if (draft.trim() === '' || over > 0) return field.current?.focus();
    acts.send(draft);
    field.current?.focus();
  };
  return (
    <>
      <Hint isRefused={talk.refused !== null} over={over} left={-over} length={draft.length} voice={voice} />
      <div class="row">
        <textarea
          ref={field}
          class="text"
          rows={1}
          value={draft}
          placeholder={voice(label)}
          aria-label={voice(label)}
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
          {voice('input.send')}
        </button>
      </div>
      {decision.moment === 'talking' || decision.moment === 'waiting' || decision.moment === 'slow-reply' ? (
        <button type="button" class="link" data-say="talking.end" onClick={acts.end}>
          {voice('talking.end')}
        </button>
      ) : null}
    </>
  );
}

function Hint({ isRefused, over, left, length, voice }: { isRefused: boolean; over: number; left: number; length: number; voice: Voice }) {
  const text: ComponentChildren =
    over > 0
      ? voice('input.tooLong', { over })
      : isRefused
        ? voice('input.refused')
        : length >= LIMITS.messageCounterFrom
          ? voice('input.left', { left })
          : null;
  return text === null ? null : (
    <p class={over > 0 || isRefused ? 'error' : 'help'} role="status">
      {text}
    </p>
  );
}
