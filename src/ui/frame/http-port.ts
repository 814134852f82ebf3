import type { HeaderPicture } from '../../core/model/look';
import type { KeptSituation } from '../../core/rehearse/assumptions';
import type { KeptVisit } from '../../core/rehearse/kept-visit';
import type { Design } from '../../core/model/design';
import type { TeamState } from '../../core/model/moment';
import type { VisitorEntry } from '../../core/wire/talk';
import type {
  FindingFacts,
  DesignFileAnswer,
  DeskConversation,
  DeskTalk,
  DraftView,
  Overview,
  PagePictures,
  PersonView,
  VersionsView,
} from '../../core/wire/desk';
import { type DeskStreamEvent, shareStream } from './shared-stream';
import { type DeskEvent, PortError, type SaveOutcome, type SitePort } from './port';

/** The port over the application's stable addresses. */
export function httpPort(siteKey: string, personId: string): SitePort {
  const base = `/api/s/${siteKey}`;
  const get = async <T>(path: string): Promise<T> => (await ask(`${base}/${path}`, { method: 'GET' })) as T;
  const post = async <T>(path: string, body: unknown): Promise<T> =>
    (await ask(`${base}/${path}`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
    })) as T;
  const save = async (path: string, body: unknown): Promise<SaveOutcome> => {
    const response = await send(`${base}/${path}`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
    });
    if (response.status === 409)
      return { kind: 'behind', view: ((await response.json()) as { view: DraftView }).view };
    return { kind: 'saved', view: (await read(response)) as DraftView };
  };
  return {
    getOverview: () => get<Overview>('overview'),
    setPresenceChoice: async (choice) => void (await post('presence', { choice })),
    getDraft: () => get<DraftView>('draft'),
    saveChange: (change) => save('draft', change),
    stepDraft: (step) => save('draft/steps', step),
    publish: async (asked) => (await post<{ version: number }>('publish', asked)).version,
    getVersions: (below) => get<VersionsView>(below === null ? 'versions' : `versions?below=${below}`),
    getVersion: (number) => get<{ number: number; design: Design }>(`versions/${number}`),
    bringBack: async (number, remark) =>
      (await post<{ version: number }>(`versions/${number}/bring-back`, { remark })).version,
    cancelPublication: async (id) => void (await post(`publications/${id}/cancel`, {})),
    judgeDesignFile: (text) => post<DesignFileAnswer>('design-file', { text }),
    openPreview: () => post<{ id: string; link: string; expires: number }>('previews', {}),
    endPreview: async (id) => void (await post(`previews/${id}/end`, {})),
    setPaused: async (isPaused) => void (await post('pause', { isPaused })),
    getFindings: () => get<FindingFacts>('findings'),
    dismiss: async (key, reason) => void (await post('findings/dismiss', { key, reason })),
    restoreFinding: async (key) => void (await post('findings/restore', { key })),
    getRecipients: async () => (await get<{ recipients: Record<string, string[]> }>('recipients')).recipients,
    setRecipients: async (teamId, mails) => void (await post('recipients', { teamId, mails })),
    getPageSource: (address) => post<{ address: string; text: string }>('page-source', { address }),
    getPeople: async () => (await get<{ people: PersonView[] }>('people')).people,
    setFace: async (id, picture) =>
      (
        (await ask(`${base}/people/${id}/face`, { method: 'POST', body: picture })) as {
          people: PersonView[];
        }
      ).people,
    removeFace: async (id) => (await post<{ people: PersonView[] }>(`people/${id}/face/remove`, {})).people,
    getPagePictures: () => get<PagePictures>('page-pictures'),
    setPagePicture: async (device, picture) =>
      (await ask(`${base}/page-pictures/${device}`, { method: 'POST', body: picture })) as PagePictures,
    keepLookPicture: async (kind, picture) =>
      (await ask(`${base}/look-pictures/${kind}`, { method: 'POST', body: picture })) as HeaderPicture,
    setPageBars: (device, bars) => post<PagePictures>(`page-bars/${device}`, bars),
    removePagePicture: (device) => post<PagePictures>(`page-pictures/${device}/remove`, {}),
    getSituations: async () => (await get<{ situations: KeptSituation[] }>('situations')).situations,
    keepSituation: async (situation) =>
      (await post<{ situations: KeptSituation[] }>('situations', situation)).situations,
    removeSituation: async (id) => void (await post('situations/remove', { id })),
    getKeptVisits: async () => (await get<{ visits: KeptVisit[] }>('visits')).visits,
    keepVisit: async (visit) => (await post<{ visits: KeptVisit[] }>('visits', visit)).visits,
    removeVisit: async (id) => void (await post('visits/remove', { id })),
    listConversations: (before) =>
      get<{ conversations: DeskConversation[]; hasMore: boolean }>(
        before === null ? 'conversations' : `conversations?before=${before}`,
      ),
    getConversation: (id) => get<DeskTalk>(`conversations/${id}`),
    reply: async (id, said) =>
      (await post<{ entry: VisitorEntry }>(`conversations/${id}/entries`, said)).entry,
    end: async (id) => void (await post(`conversations/${id}/end`, {})),
    listen: (hear) =>
      listenTo(`${base}/stream`, personId, hear, () =>
        post('pong', {}).then(
          () => false,
          (error: unknown) => error instanceof PortError && error.kind === 'signed-out',
        ),
      ),
  };
}

const STREAMED = ['ping', 'teams', 'gone', 'form', 'entry'] as const;

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
      if (name === 'gone') hear({ kind: 'gone', ids: (told as { ids: string[] }).ids });
      if (name === 'form')
        hear({ kind: 'form', conversation: (told as { conversation: DeskConversation }).conversation });
      if (name === 'entry')
        hear({ kind: 'entry', ...(told as { conversation: DeskConversation; entry: VisitorEntry }) });
    },
  };
  const only = async ({ name }: DeskStreamEvent): Promise<DeskStreamEvent | null> =>
    name === 'ping' && (await pong()) ? { name: 'signed-out', data: '{}' } : null;
  return shareStream(address, who, STREAMED, hearer, only);
}

async function ask(address: string, init: RequestInit): Promise<unknown> {
  return read(await send(address, init));
}

async function send(address: string, init: RequestInit): Promise<Response> {
  try {
    return await fetch(address, init);
  } catch {
    throw new PortError(
      'unreachable',
      'The server does not answer. What you did is kept here, and we try again.',
    );
  }
}

async function read(response: Response): Promise<unknown> {
  const body = (await response.json().catch(() => null)) as { errors?: Record<string, string> } | null;
  if (response.ok) return body;
  const errors = body?.errors ?? {};
  const sentence =
    errors[''] ?? Object.values(errors)[0] ?? 'The server could not do this. What you did is kept here.';
  if (response.status === 401) throw new PortError('signed-out', sentence);
  if (response.status === 404) throw new PortError('missing', sentence);
  if (response.status === 429 || response.status >= 500) throw new PortError('unreachable', sentence);
  throw new PortError('refused', sentence, errors);
}
