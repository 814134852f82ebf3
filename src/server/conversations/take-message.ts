import type { Widget } from '../../core/model/design';
import type { TeamState } from '../../core/model/moment';
import type { SentAnswer, VisitorEntry } from '../../core/wire/talk';
import type { Tx } from '../db/open';
import { findPreviewEnd } from '../designs/previews.repository';
import type { KnownSite } from '../facts/known-sites';
import { teamStatesOf } from '../facts/presence';
import { widgetStateAt } from '../facts/widget-state';
import { hashOf } from '../ids';
import type { MessageInput, NoteInput } from '../input/visitor.input';
import type { State } from '../state';
import { type Beginning, conversationFor } from './conversation-for';
import { type ConversationHead, findHeadOf } from './conversations.repository';
import { appendEntry, findEntryOfVisitor } from './entries.repository';
import { getFacts } from './facts.repository';
import { type GivenForm, keepForm } from './forms';
import { readTelling, tellEntries } from './tell-entry';
import { tellPlaces } from './tell-places';
import { widgetOf } from './widget-asked';
import { type Writer, visitorOf } from './writer';

/** Stores what a visitor wrote, and only then acknowledges it. Sent twice, it is stored once. Throws TokenError. */
export async function takeMessage(
  state: State,
  writer: Writer,
  said: MessageInput,
  form: GivenForm,
): Promise<SentAnswer> {
  return take(state, writer, { said, form, replies: null });
}

/** Stores a note with its replies. What was said before it stays in the same conversation ([M5]). Throws TokenError. */
export async function takeNote(
  state: State,
  writer: Writer,
  said: NoteInput,
  form: GivenForm,
): Promise<SentAnswer> {
  const name = said.name === '' ? null : said.name;
  return take(state, writer, {
    ...{ said, form },
    replies: { mail: said.mail, name, fields: said.replies ?? {} },
  });
}

async function take(
  state: State,
  writer: Writer,
  { said, form, replies }: Pick<Beginning, 'said' | 'form' | 'replies'>,
): Promise<SentAnswer> {
  const { siteId, at } = writer;
  const site = await state.sites.get(siteId);
  const isPractice =
    said.pass !== undefined && (await findPreviewEnd(state.db, siteId, hashOf(said.pass), at)) !== null;
  const widget = widgetOf(site, said.widget, at);
  return state.commits.store({
    write: async (tx, group) => {
      const { visitorId, isNew } = await visitorOf(tx, writer, said);
      const known = isNew ? null : await findHeadOf(tx, siteId, visitorId);
      const seen = known === null ? null : await findEntryOfVisitor(tx, siteId, visitorId, said.clientId);
      const states = await group.once(`teams ${siteId}`, () =>
        teamStatesOf({ db: tx, board: state.board }, site),
      );
      const now = widgetStateAt(site, { widget, states }, at);
      const kept =
        known !== null && seen !== null
          ? { currentId: known.id, told: [], entry: seen }
          : await keep(tx, known, {
              ...{ siteId, visitorId, site, widget, said, replies, form },
              ...{ teamId: teamFor(site, { widget, states, said, form }), state: now, isPractice, at },
            });
      const conversation = await getFacts(tx, siteId, kept.currentId);
      const toTell = { entries: kept.told, standing: conversation };
      const telling = await readTelling(tx, state, { siteId, visitorId }, toTell);
      return { ...kept, conversation, visitorId, state: now, telling };
    },
    tell: async ({ conversation, visitorId, told, entry, state: now, telling }, news) => {
      await tellEntries(state, { siteId, visitorId }, told, telling);
      if (told.length > 0 && replies !== null) news.add(`places ${siteId}`, () => tellPlaces(state, siteId));
      return { conversation, entries: [entry], state: now };
    },
  });
}

interface Asking {
  readonly widget: Widget | undefined;
  readonly states: Readonly<Record<string, TeamState>>;
  readonly said: MessageInput;
  readonly form: GivenForm;
}

/** The team a conversation that begins is for: the one chosen in the form, the one a link asks for, else whoever is in. */
function teamFor({ teams: all }: KnownSite, { widget, states, said, form }: Asking): string | null {
  const there = new Set(all.map(({ id }) => id));
  const teams = (widget?.teams ?? []).filter((id) => there.has(id));
  const asked = teams.find((id) => id === form.team) ?? teams.find((id) => id === said.asks);
  return asked ?? teams.find((id) => states[id] === 'in') ?? teams[0] ?? null;
}

/** Stores what was said, with what belongs to it, where it goes. */
async function keep(tx: Tx, known: ConversationHead | null, begin: Beginning): Promise<Kept> {
  const { siteId, replies, form, said, at } = begin;
  const { conversation, isBegun, ended } = await conversationFor(tx, known, begin);
  const entry = await appendEntry(
    tx,
    conversation,
    {
      kind: replies === null ? 'message' : 'note',
      author: 'visitor',
      person_id: null,
      client_id: said.clientId,
      body: said.body,
      page: said.page,
      written_ms: null,
    },
    at,
  );
  if (isBegun || replies !== null) await keepForm(tx, siteId, conversation.id, form, said, at);
  return { currentId: conversation.id, entry, told: [...ended, entry] };
}

interface Kept {
  readonly currentId: string;
  readonly entry: VisitorEntry;
  /** All that came of it, in order. */
  readonly told: readonly VisitorEntry[];
}
