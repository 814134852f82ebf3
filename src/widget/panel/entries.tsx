/** @jsxImportSource preact */
import type { VisitorEntry } from '../../core/wire/talk';
import { initialsOf } from '../../core/words/initials';
import type { FormatText } from '../format-text';
import type { Outgoing } from './outbox';
import { Linked } from './linked';
import { Picture } from './picture';
import type { WindowProps } from './window';

/** What was said, and what is on its way. */
export function Entries({ painted, talk, formatText, view: { base } }: WindowProps) {
  const { locale } = painted.site.design;
  return (
    <>
      {talk.entries.map((entry, at) => (
        <Entry
          key={entry.id}
          entry={entry}
          before={talk.entries[at - 1]}
          formatText={formatText}
          locale={locale}
          base={base}
        />
      ))}
      {talk.outbox.map((one) => (
        <Waiting key={one.clientId} one={one} formatText={formatText} />
      ))}
    </>
  );
}

interface EntryProps {
  readonly entry: VisitorEntry;
  readonly before: VisitorEntry | undefined;
  readonly formatText: FormatText;
  readonly locale: string;
  readonly base: string;
}

/** An entry; where another conversation begins or goes on, under a line with day and hour. */
function Entry(props: EntryProps) {
  const { entry, before, locale } = props;
  if (before === undefined || before.conversationId === entry.conversationId) return <Said {...props} />;
  return (
    <>
      <p class="line dated">{dateOf(entry.storedMs, locale)}</p>
      <Said {...props} />
    </>
  );
}

function Said({ entry, before, formatText, locale, base }: EntryProps) {
  if (entry.kind === 'joined')
    return (
      <p class="line" data-entry={entry.id} data-say="talking.joined">
        {formatText('talking.joined', { responderName: entry.name ?? '' })}
      </p>
    );
  if (entry.kind === 'ended') {
    const key =
      entry.author === 'visitor'
        ? 'goodbye.byVisitor'
        : entry.author === 'person'
          ? 'goodbye.byResponder'
          : 'goodbye.bySilence';
    return (
      <p class="line" data-entry={entry.id} data-say={key}>
        {formatText(key, { responderName: entry.name ?? '' })}
      </p>
    );
  }
  if (entry.body === '') return null; // an address left without words
  const isVisitor = entry.author === 'visitor';
  return (
    <div class={isVisitor ? 'card visitor' : 'card person'} data-entry={entry.id}>
      {isVisitor || isSamePerson(entry, before) ? null : <Face entry={entry} base={base} />}
      <span class={isVisitor ? 'who hidden' : 'who'}>
        {isVisitor ? formatText('talking.you') : entry.name}
      </span>
      <Linked text={entry.body} />
      <time class="time">{timeOf(entry.storedMs, locale)}</time>
    </div>
  );
}

function Face({ entry: { name, face }, base }: Pick<EntryProps, 'entry' | 'base'>) {
  const initials = initialsOf(name ?? '');
  if (face)
    return <Picture class="face" base={base} picture={[face[0], face[1], 30, 30]} initials={initials} />;
  return (
    <span class="face" aria-hidden="true">
      {initials}
    </span>
  );
}

function isSamePerson({ name }: VisitorEntry, before: VisitorEntry | undefined): boolean {
  return before?.kind === 'message' && before.author === 'person' && before.name === name;
}

const clocks = new Map<string, Intl.DateTimeFormat>();

/** The hour of a message where the visitor is; looks that show it do so by their sheet. */
function timeOf(at: number, locale: string): string {
  const clock = clocks.get(locale) ?? new Intl.DateTimeFormat(locale, { hour: '2-digit', minute: '2-digit' });
  clocks.set(locale, clock);
  return clock.format(at);
}

const days = new Map<string, Intl.DateTimeFormat>();

function dateOf(at: number, locale: string): string {
  const day =
    days.get(locale) ?? new Intl.DateTimeFormat(locale, { dateStyle: 'medium', timeStyle: 'short' });
  days.set(locale, day);
  return day.format(at);
}

function Waiting({ one, formatText }: { one: Outgoing; formatText: FormatText }) {
  return (
    <>
      <div class="card visitor" data-outgoing={one.clientId}>
        <bdi>{one.body}</bdi>
      </div>
      <p class="progress">{formatText(one.standing === 'waiting' ? 'input.notSent' : 'talking.sending')}</p>
    </>
  );
}
