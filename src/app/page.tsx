import { redirect } from 'next/navigation';
import { listSitesOf } from '../server/accounts/sites.repository';
import { state } from '../server/state';
import { currentPerson } from './session';

export const dynamic = 'force-dynamic';

/** The door: to one's site, to signing in, or to the first page of an empty installation. */
export default async function DoorPage() {
  const person = await currentPerson();
  if (person === null) redirect(state().setupCode === null ? '/signin' : '/start');
  const [site] = await listSitesOf(state().db, person.id);
  redirect(site === undefined ? '/new' : `/s/${site.key}/today`);
}
