/** @jsxImportSource preact */
import type { ComponentChildren, TargetedKeyboardEvent } from 'preact';
import { useEffect, useRef } from 'preact/hooks';
import type { Decision } from '../../core/decide/decide';
import { LIMITS } from '../../core/limits';
import { LAMP_PATHS, type LampMark, lampOf } from '../../core/model/lamp';
import type { VisitorEntry } from '../../core/wire/talk';
import type { TextKey } from '../../core/words/text-key';
import type { Voice } from '../voice';
import { NoteForm } from './note-form';
import type { NoteReplies, Outgoing, TalkPicture } from './talk';

export interface WindowProps {
  readonly decision: Decision;
  readonly voice: Voice;
  readonly talk: TalkPicture;
  readonly isOpen: boolean;
  /** On a phone it is the whole screen: focus stays in it. */
  readonly isModal: boolean;
  /** Half-written text; it stays through every change of moment ([M5]). */
  readonly draft: string;
  readonly acts: WindowActs;
}

export interface WindowActs {
  write(draft: string): void;
  send(body: string): void;
  leaveNote(body: string, replies: NoteReplies): void;
  end(): void;
  askAgain(): void;
  close(): void;
}

/** The window in every moment. It paints what was decided and decides nothing. */
export function PorchWindow(props: WindowProps) {
  const { decision, voice, acts, isOpen, isModal } = props;
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
  const { decision, voice, talk, acts, draft } = props;
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

const STATUS: Partial<Record<Decision['moment'], TextKey>> = {
  waiting: 'waiting.status',
  talking: 'talking.status',
  goodbye: 'goodbye.status',
  'note-left': 'noteLeft.status',
};

function Head({ decision, voice, onClose }: { decision: Decision; voice: Voice; onClose: () => void }) {
  const key = STATUS[decision.moment] ?? 'status';
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
      {LAMP_PATHS.glass[mark] === '' ? null : <path class="lamp-light" d={LAMP_PATHS.glass[mark]} />}
      <path class="lamp-line" d={LAMP_PATHS.outline} />
      {LAMP_PATHS.over[mark] === '' ? null : <path class="lamp-over" d={LAMP_PATHS.over[mark]} />}
    </svg>
  );
}

function Log(props: WindowProps) {
  const { decision, voice, talk } = props;
  const box = useRef<HTMLDivElement>(null);
  const count = talk.entries.length + talk.outbox.length;
  useEffect(() => {
    if (box.current !== null) box.current.scrollTop = box.current.scrollHeight;
  }, [count, decision.moment]);
  const isAtDoor = decision.moment === 'at-the-door';
  return (
    <div class="log" ref={box} role="log" aria-live="polite" aria-label={voice('window.messages')} tabIndex={0}>
      {isAtDoor && talk.entries.length === 0 ? <Card say="greeting" voice={voice} /> : null}
      <Entries {...props} />
      {isAtDoor && talk.entries.length > 0 ? <Card say="greeting" voice={voice} /> : null}
      {decision.moment === 'waiting' ? <Card say="waiting.first" voice={voice} /> : null}
      {decision.moment === 'note-left' ? <Card say="noteLeft.got" voice={voice} /> : null}
    </div>
  );
}

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

function Composer({ decision, voice, talk, draft, acts }: WindowProps) {
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
      {decision.moment === 'talking' || decision.moment === 'waiting' ? (
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
