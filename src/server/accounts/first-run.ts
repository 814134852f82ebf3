import { defaultDesign } from '../../core/model/defaults';
import type { Design } from '../../core/model/design';
import type { EpochMs } from '../../core/model/units';
import { toAddress } from '../../core/pages/address';
import { writeDraft } from '../designs/drafts.repository';
import { insertPerson } from './persons.repository';
import { CHATS_AT_ONCE, type Site, insertDomain, insertMember, insertSite } from './sites.repository';
import { insertTeam, insertTeamMember } from '../facts/teams.repository';
import type { Tx } from '../db/open';
import { inTransaction } from '../db/transaction';
import { newId, newSiteKey } from '../ids';
import type { FirstRunInput } from '../input/account.input';
import type { State } from '../state';
import { writeFacts } from '../facts/facts';

export interface NewPorch {
  readonly site: Site;
  readonly personId: string;
}

/** What stands before the @, as a name: `ines.matos` gives Ines Matos. */
function nameFromMail(mail: string): string {
  const words = (mail.split('@')[0] ?? mail).split(/[._-]+/).filter(Boolean);
  return words.map((word) => word.charAt(0).toUpperCase() + word.slice(1)).join(' ');
}

/** Makes owner, site, a team of one and a publishable widget: the whole first page in one transaction. */
export async function openPorch(
  state: Pick<State, 'db' | 'passwords'>,
  asked: FirstRunInput,
  at: EpochMs,
): Promise<NewPorch> {
  const passwordHash = await state.passwords.hash(asked.password);
  const personId = newId(at);
  const name = asked.name === '' ? nameFromMail(asked.mail) : asked.name;
  const mail = asked.mail.toLowerCase();
  return inTransaction(state.db, async (tx) => {
    await insertPerson(tx, { id: personId, mail, name }, passwordHash, asked.locale, at);
    const site = await openSite(tx, personId, asked, at);
    return { site, personId };
  });
}

type SiteAnswers = Pick<
  FirstRunInput,
  'siteName' | 'siteAddress' | 'brand' | 'locale' | 'zone' | 'zoneConfirmed'
>;

/** A site of a person who is there already. */
export async function openSite(tx: Tx, personId: string, asked: SiteAnswers, at: EpochMs): Promise<Site> {
  const site: Site = {
    id: newId(at),
    key: newSiteKey(),
    name: asked.siteName,
    address: asked.siteAddress === '' ? null : asked.siteAddress,
    zone: asked.zone,
    defaultLocale: asked.locale,
    pausedAt: null,
    places: {},
  };
  await insertSite(tx, site, asked.zoneConfirmed ?? false, at);
  await insertMember(tx, site.id, personId, 'owner', CHATS_AT_ONCE);
  const teamId = newId(at);
  await insertTeam(
    tx,
    site.id,
    { id: teamId, key: 'everybody', name: { [asked.locale]: asked.siteName } },
    0,
  );
  await insertTeamMember(tx, site.id, teamId, personId);
  const origin =
    asked.siteAddress === '' || toAddress(asked.siteAddress) === null
      ? null
      : new URL(asked.siteAddress).origin;
  if (origin !== null) await insertDomain(tx, site.id, origin, false);
  await writeDraft(tx, site.id, { revision: 1, design: firstDesign(asked, teamId, at) }, personId, at);
  await writeFacts(tx, site.id, personId, at, 'site opened');
  return site;
}

function firstDesign(asked: SiteAnswers, teamId: string, at: EpochMs): Design {
  const design = defaultDesign(asked.siteName, asked.locale, asked.brand.toLowerCase(), () => newId(at));
  return { ...design, widgets: design.widgets.map((widget) => ({ ...widget, teams: [teamId] })) };
}
