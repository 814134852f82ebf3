import type { Role } from '../../core/model/role';
import type { TeamState } from '../../core/model/moment';
import type { DeskConversation, FindingFacts, Overview, Trail, VisitorNow } from '../../core/wire/desk';
import type { VisitorEntry } from '../../core/wire/talk';
import { type Api, PortError } from './api';
import { type DeskStreamEvent, shareStream } from './shared-stream';

/** What stands around every screen of a site: who is answering, what there is to fix, and what the server says by itself. */
export interface FramePort {
  getOverview(): Promise<Overview>;
  setPresenceChoice(choice: 'in' | 'out'): Promise<void>;
  /** What findings are computed from besides the draft, and the dismissed ones. */
  getFindings(): Promise<FindingFacts>;
  /** Dismisses a finding, with the reason. */
  dismiss(key: string, reason: string): Promise<void>;
  restoreFinding(key: string): Promise<void>;
  /** Listens to the desk's stream; answers its pings for a person by itself. Gives what stops it. */
  listen(personId: string, hear: (event: DeskEvent) => void): () => void;
}

/** Why conversations were deleted: their visitor asked for it, they were only practice, or are older than they are kept. */
export type GoneWhy = 'forgotten' | 'practice' | 'old';

export type DeskEvent =
  | { readonly kind: 'teams'; readonly teams: Readonly<Record<string, TeamState>> }
  | { readonly kind: 'entry'; readonly conversation: DeskConversation; readonly entry: VisitorEntry }
  /** Conversations that are deleted. */
  | { readonly kind: 'gone'; readonly ids: readonly string[]; readonly why: GoneWhy }
  /** How a conversation stands has changed, though nothing was said. */
  | { readonly kind: 'conversation'; readonly conversation: DeskConversation }
  /** What a visitor sees, and where they are, has changed. */
  | {
      readonly kind: 'visitor-now';
      readonly id: string;
      readonly now: VisitorNow | null;
      readonly trail: Trail;
    }
  /** A form after the chat was given. */
  | { readonly kind: 'form'; readonly conversation: DeskConversation }
  | { readonly kind: 'connection'; readonly isOpen: boolean }
  /** The session has ended: pings are not answered for this person any more. */
  | { readonly kind: 'signed-out' }
  /** What this person may do here has changed; null: they have no part in the site any more. */
  | { readonly kind: 'rights'; readonly role: Role | null }
  /** Of which questions this person is told, or how, has changed: by an owner, in another tab or on another device. */
  | { readonly kind: 'alerts' };

export function framePort({ base, get, post }: Api): FramePort {
  return {
    getOverview: () => get('overview'),
    setPresenceChoice: async (choice) => void (await post('presence', { choice })),
    getFindings: () => get('findings'),
    dismiss: async (key, reason) => void (await post('findings/dismiss', { key, reason })),
    restoreFinding: async (key) => void (await post('findings/restore', { key })),
    listen: (personId, hear) =>
      listenTo(`${base}/stream`, personId, hear, () =>
        post('pong', {}).then(
          () => false,
          (error: unknown) => error instanceof PortError && error.kind === 'signed-out',
        ),
      ),
  };
}

const STREAMED = [
  'ping',
  'signed-out',
  'rights',
  'alerts',
  'teams',
  'gone',
  'form',
  'conversation',
  'visitor-now',
  'entry',
] as const;

/** The pong goes out from the stream's own handler: timers of hidden tabs sleep ([S2]). One tab answers for all; `pong` gives whether the session has ended. */
function listenTo(
  address: string,
  who: string,
  hear: (event: DeskEvent) => void,
  pong: () => Promise<boolean>,
): () => void {
  const hearer = {
    connected: (isOpen: boolean) => hear({ kind: 'connection', isOpen }),
    hear: ({ name, data }: DeskStreamEvent) => {
      const told: unknown = JSON.parse(data);
      if (name === 'teams')
        hear({ kind: 'teams', teams: (told as { teams: Record<string, TeamState> }).teams });
      if (name === 'signed-out') hear({ kind: 'signed-out' });
      if (name === 'rights') hear({ kind: 'rights', role: (told as { role: Role | null }).role });
      if (name === 'alerts') hear({ kind: 'alerts' });
      if (name === 'gone') hear({ kind: 'gone', ...(told as { ids: string[]; why: GoneWhy }) });
      if (name === 'form' || name === 'conversation')
        hear({ kind: name, conversation: (told as { conversation: DeskConversation }).conversation });
      if (name === 'visitor-now')
        hear({ kind: 'visitor-now', ...(told as { id: string; now: VisitorNow | null; trail: Trail }) });
      if (name === 'entry')
        hear({ kind: 'entry', ...(told as { conversation: DeskConversation; entry: VisitorEntry }) });
    },
  };
  const only = async ({ name }: DeskStreamEvent): Promise<DeskStreamEvent | null> =>
    name === 'ping' && (await pong()) ? { name: 'signed-out', data: '{}' } : null;
  return shareStream(address, who, STREAMED, hearer, only);
}
