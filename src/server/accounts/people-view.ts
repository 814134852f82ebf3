import type { PeopleView } from '../../core/wire/desk';
import type { State } from '../state';
import { listJoinLinks } from './join-links.repository';
import { listMembers } from './members.repository';
import { listRightsChanges } from './rights-log.repository';
import type { Member } from './who';

/** Who answers on a site; its owners also see the links that are out, and what was changed of anybody's rights. */
export async function peopleView(
  { db, board, clock }: Pick<State, 'db' | 'board' | 'clock'>,
  { site, person, role }: Member,
): Promise<PeopleView> {
  const rows = await listMembers(db, site.id);
  const people = rows.map(({ choice, ...row }) => ({
    ...row,
    isIn: choice === 'in' && board.isThere(row.id),
    isYou: row.id === person.id,
  }));
  if (role !== 'owner') return { people, rights: null };
  const [links, changes] = await Promise.all([
    listJoinLinks(db, site.id, clock.now()),
    listRightsChanges(db, site.id),
  ]);
  return { people, rights: { links, changes } };
}
