import type { Moment } from '../../core/model/moment';
import { TRAIL_MAX } from '../../core/model/memory';
import { type EpochMs, SECOND_MS } from '../../core/model/units';
import type { Trail, VisitorNow } from '../../core/wire/desk';
import { deskChannel, visitorChannel } from '../facts/presence';
import { runAside } from '../log';
import type { State } from '../state';
import { type ConversationRow, findConversationOf, updateConversation } from './conversations.repository';
import { type Writer, knownVisitor } from './writer';

/** What a visitor's browser says of itself: what it shows, and the page where that may be known ([V9]). */
interface HereSaid {
  readonly moment: Moment;
  readonly step?: readonly [address: string, at: EpochMs];
}

/** A page that is left for another one of the site closes its stream for a moment; that is not going away. */
const NEXT_PAGE_MS = 5 * SECOND_MS;

/** A visitor's page says what it shows and where; desks that look are told. Throws TokenError. */
export async function takeHere(state: State, writer: Writer, { moment, step }: HereSaid): Promise<void> {
  const { siteId, at } = writer;
  const visitorId = await knownVisitor(state.db, writer);
  const before = state.whereabouts.get(siteId, visitorId);
  const page = step === undefined ? null : pageSince(step[0], before?.page ?? null, at);
  state.whereabouts.set(siteId, visitorId, { moment, page, goneMs: null });
  const row = await findConversationOf(state.db, siteId, visitorId);
  if (row === null) return;
  const trail = trailOf(row);
  const last = trail.at(-1)?.[0] ?? row.page.replace(/^https?:\/\//i, '');
  if (step !== undefined && pathOf(last) !== pathOf(step[0])) {
    trail.push([step[0], at]);
    await updateConversation(state.db, siteId, row.id, {
      trail_json: JSON.stringify(trail.slice(-TRAIL_MAX)),
    });
  }
  tellDesk(state, { ...row, trail_json: JSON.stringify(trail) });
}

type Page = NonNullable<VisitorNow['page']>;

/** A page since when it is open: the one that was told before is still the same. */
function pageSince(address: string, before: Page | null, at: EpochMs): Page {
  return before?.[0] === address ? before : [address, at];
}

/** Another query or fragment is no other page here. */
function pathOf(address: string): string {
  return address.replace(/[?#].*$/, '').replace(/\/$/, '');
}

/** Pages of a conversation's visitor, oldest first: on the way to the question, and since. */
export function trailOf({ trail_json: json }: Pick<ConversationRow, 'trail_json'>): Trail {
  return json === null ? [] : (JSON.parse(json) as Trail);
}

/** What the visitor of a conversation sees and where; null: it is not known. */
export function visitorNowOf(
  { whereabouts }: Pick<State, 'whereabouts'>,
  { site_id: siteId, visitor_id: visitorId }: Pick<ConversationRow, 'site_id' | 'visitor_id'>,
): VisitorNow | null {
  return whereabouts.get(siteId, visitorId);
}

/** A stream of a visitor's was closed: where none is opened in its place, they have left the site. */
export function watchVisitorGone(state: State, siteId: string, visitorId: string): void {
  const goneMs = state.clock.now();
  state.clock.wakeAt(goneMs + NEXT_PAGE_MS, () => {
    const known = state.whereabouts.get(siteId, visitorId);
    if (known === null || state.hub.count(visitorChannel(siteId, visitorId)) > 0) return;
    const tell = async (): Promise<void> => {
      const row = await findConversationOf(state.db, siteId, visitorId);
      // Only what runs is heard with the window closed too: else all that is known is that they closed it.
      const isHeard = row?.status === 'asked' || row?.status === 'joined';
      if (isHeard) state.whereabouts.set(siteId, visitorId, { ...known, goneMs });
      else state.whereabouts.forget(siteId, visitorId);
      if (row !== null) tellDesk(state, row);
    };
    runAside('a visitor who left', tell());
  });
}

function tellDesk(state: State, row: ConversationRow): void {
  state.hub.send(deskChannel(row.site_id), {
    name: 'visitor-now',
    data: { id: row.id, now: visitorNowOf(state, row), trail: trailOf(row) },
  });
}
