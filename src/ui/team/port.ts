import type { PersonView } from '../../core/wire/desk';
import type { Api } from '../frame/api';

/** The people and teams of the site. */
export interface TeamPort {
  getPeople(): Promise<readonly PersonView[]>;
  /** Visitors see it from then on. Gives the people as they are since. */
  setFace(personId: string, picture: Blob): Promise<readonly PersonView[]>;
  removeFace(personId: string): Promise<readonly PersonView[]>;
  /** Mail addresses that get the notes of each team. */
  getRecipients(): Promise<Readonly<Record<string, readonly string[]>>>;
  setRecipients(teamId: string, mails: readonly string[]): Promise<void>;
}

interface People {
  readonly people: readonly PersonView[];
}

export function teamPort({ get, post, upload }: Api): TeamPort {
  return {
    getPeople: async () => (await get<People>('people')).people,
    setFace: async (id, picture) => (await upload<People>(`people/${id}/face`, picture)).people,
    removeFace: async (id) => (await post<People>(`people/${id}/face/remove`, {})).people,
    getRecipients: async () => (await get<{ recipients: Record<string, string[]> }>('recipients')).recipients,
    setRecipients: async (teamId, mails) => void (await post('recipients', { teamId, mails })),
  };
}
