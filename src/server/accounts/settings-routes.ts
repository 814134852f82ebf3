import type { HttpAnswer } from '../http/exchange';
import { LIMITS } from '../../core/limits';
import { isTestOrigin, readOrigin } from '../../core/pages/origins';
import { DAY_MS } from '../../core/model/units';
import type { RetentionAnswer, SettingsView } from '../../core/wire/desk';
import { countOlderThan } from '../conversations/sweep.repository';
import { inTransaction } from '../db/transaction';
import { getDraft, saveChange } from '../designs/draft';
import { type DeskCall, type DeskRoutes, actorOf, route, routeWith } from '../desk/route';
import { listCalendars, writeCalendar } from '../facts/calendars.repository';
import { writeFacts } from '../facts/facts';
import { errorResponse, json } from '../http/replies';
import { newId } from '../ids';
import { OriginInput, PlaceInput, RetentionInput, SiteNameInput, ZoneInput } from '../input/account.input';
import {
  deleteDomain,
  getRetention,
  getSite,
  insertDomain,
  listDomains,
  writePlaces,
  writeRetention,
  writeSiteName,
  writeZone,
} from './sites.repository';

/** What the desk asks about a site as a whole; its owner alone changes it. */
export const SETTINGS_ROUTES: DeskRoutes = {
  'GET settings': route('owner', handleSettings),
  'POST settings/name': routeWith('owner', SiteNameInput, handleName),
  'POST settings/zone': routeWith('owner', ZoneInput, handleZone),
  'POST settings/place': routeWith('owner', PlaceInput, handlePlace),
  'POST settings/retention': routeWith('owner', RetentionInput, handleRetention),
  'POST settings/domains': routeWith('owner', OriginInput, handleAddDomain),
  'POST settings/domains/remove': routeWith('owner', OriginInput, handleRemoveDomain),
};

async function handleSettings(call: DeskCall): Promise<HttpAnswer> {
  return json(200, await viewOf(call), {});
}

async function viewOf({ state: { db }, member }: DeskCall): Promise<SettingsView> {
  const { id } = member.site;
  const [{ name, zone, places }, { design }, domains, retentionDays] = await Promise.all([
    getSite(db, id),
    getDraft(db, id),
    listDomains(db, id),
    getRetention(db, id),
  ]);
  return { name, zone, places, locales: design.locales, domains, retentionDays };
}

/** A shorter time deletes what is older: how much that is, is told first. The next sweep does it. */
async function handleRetention(call: DeskCall, { days, isSure }: RetentionInput): Promise<HttpAnswer> {
  const { siteId, at } = actorOf(call);
  const { db } = call.state;
  const olderCount = isSure ? 0 : await countOlderThan(db, siteId, at - days * DAY_MS);
  if (olderCount === 0) await writeRetention(db, siteId, days);
  const answer: RetentionAnswer = { olderCount, view: await viewOf(call) };
  return json(200, answer, {});
}

/** The site is called so here at once; visitors read it with the next version. */
async function handleName(call: DeskCall, { name }: SiteNameInput): Promise<HttpAnswer> {
  const { state, member } = call;
  const actor = actorOf(call);
  const draft = await getDraft(state.db, member.site.id);
  const saved = await saveChange(state, actor, {
    clientId: newId(actor.at),
    base: draft.revision,
    patches: [{ op: 'set', path: ['siteName'], value: name }],
    label: 'name of the site',
  });
  if (saved.kind !== 'saved')
    return errorResponse(409, 'Somebody changed the draft just now. Nothing was saved; try again.', {});
  await writeSiteName(state.db, member.site.id, name);
  return handleSettings(call);
}

/** Calendars that were kept in the old zone go along: their hours are meant by the clock of the place. */
async function handleZone(call: DeskCall, { zone }: ZoneInput): Promise<HttpAnswer> {
  const { siteId, personId, at } = actorOf(call);
  const { zone: before } = await getSite(call.state.db, siteId);
  await inTransaction(call.state.db, async (tx) => {
    await writeZone(tx, siteId, zone);
    for (const calendar of await listCalendars(tx, siteId))
      if (calendar.zone === before) await writeCalendar(tx, siteId, { ...calendar, zone }, personId, at);
    await writeFacts(tx, siteId, personId, at, `zone set to ${zone}`);
  });
  return handleSettings(call);
}

/** Empty: it is called by the zone's city again. */
async function handlePlace(call: DeskCall, { locale, place }: PlaceInput): Promise<HttpAnswer> {
  const { db } = call.state;
  const { siteId, personId, at } = actorOf(call);
  const { locales } = (await getDraft(db, siteId)).design;
  if (!locales.includes(locale))
    return json(400, { errors: { place: 'Your widget does not speak that language.' } }, {});
  await inTransaction(db, async (tx) => {
    const { places } = await getSite(tx, siteId);
    const others = Object.entries(places).filter(([one]) => one !== locale);
    const own: typeof others = place === '' ? [] : [[locale, place]];
    await writePlaces(tx, siteId, Object.fromEntries([...others, ...own]));
    await writeFacts(tx, siteId, personId, at, `name of the place in ${locale}`);
  });
  return handleSettings(call);
}

async function handleAddDomain(call: DeskCall, asked: OriginInput): Promise<HttpAnswer> {
  const { state, member } = call;
  const origin = readOrigin(asked.origin);
  if (origin === null)
    return json(
      400,
      { errors: { origin: 'Type an address such as farrowisle.example or *.farrowisle.example.' } },
      {},
    );
  if ((await listDomains(state.db, member.site.id)).length >= LIMITS.domains)
    return json(400, { errors: { origin: `There can be at most ${LIMITS.domains} addresses.` } }, {});
  await insertDomain(state.db, member.site.id, origin, isTestOrigin(origin));
  return handleSettings(call);
}

async function handleRemoveDomain(call: DeskCall, { origin }: OriginInput): Promise<HttpAnswer> {
  await deleteDomain(call.state.db, call.member.site.id, origin);
  return handleSettings(call);
}
