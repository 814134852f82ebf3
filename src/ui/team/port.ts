import type { MadeJoinLink, PeopleView, PersonView, TeamsView } from '../../core/wire/desk';
import type { Api } from '../frame/api';
import type { Rights } from './RightsFields';

/** The people and teams of the site. */
export interface TeamPort {
  getPeople(): Promise<PeopleView>;
  /** Visitors see it from then on. Gives the people as they are since. */
  setFace(personId: string, picture: Blob): Promise<PeopleView>;
  removeFace(personId: string): Promise<PeopleView>;
  /** A link for one colleague; its path is told this once. */
  makeJoinLink(rights: Rights): Promise<MadeJoinLink>;
  withdrawJoinLink(id: string): Promise<PeopleView>;
  /** Asks for what has changed alone. */
  setRights(person: PersonView, rights: Rights): Promise<PeopleView>;
  /** Their access ends at once. */
  removePerson(id: string): Promise<PeopleView>;
  /** With what names each of them; for owners. */
  getTeams(): Promise<TeamsView>;
  /** Named in the widget's usual language. */
  addTeam(name: string): Promise<TeamsView>;
  nameTeam(id: string, locale: string, name: string): Promise<TeamsView>;
  orderTeams(teamIds: readonly string[]): Promise<TeamsView>;
  removeTeam(id: string): Promise<TeamsView>;
  /** Mail addresses that get the notes of each team. */
  getRecipients(): Promise<Readonly<Record<string, readonly string[]>>>;
  setRecipients(teamId: string, mails: readonly string[]): Promise<void>;
}

export function teamPort({ get, post, upload }: Api): TeamPort {
  return {
    getPeople: () => get('people'),
    setFace: (id, picture) => upload(`people/${id}/face`, picture),
    removeFace: (id) => post(`people/${id}/face/remove`, {}),
    makeJoinLink: (rights) => post('join-links', rights),
    withdrawJoinLink: (id) => post(`join-links/${id}/withdraw`, {}),
    setRights: async ({ id, role, teamIds }, rights) => {
      const isSame =
        teamIds.length === rights.teamIds.length && teamIds.every((one) => rights.teamIds.includes(one));
      const teams = isSame ? null : await post<PeopleView>(`people/${id}/teams`, { teamIds: rights.teamIds });
      if (role === rights.role) return teams ?? get('people');
      return post(`people/${id}/role`, { role: rights.role });
    },
    removePerson: (id) => post(`people/${id}/remove`, {}),
    getTeams: () => get('teams'),
    addTeam: async (name) => {
      const { locales } = await get<TeamsView>('teams');
      return post('teams', { locale: locales[0], name });
    },
    nameTeam: (id, locale, name) => post(`teams/${id}/name`, { locale, name }),
    orderTeams: (teamIds) => post('teams/order', { teamIds }),
    removeTeam: (id) => post(`teams/${id}/remove`, {}),
    getRecipients: async () => (await get<{ recipients: Record<string, string[]> }>('recipients')).recipients,
    setRecipients: async (teamId, mails) => void (await post('recipients', { teamId, mails })),
  };
}
