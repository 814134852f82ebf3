import type { Actor } from '../server/actor';
import { wallOf } from '../core/hours/wall';
import type { Design } from '../core/model/design';
import { DAY_MS, HOUR_MS, MINUTE_MS, SECOND_MS } from '../core/model/units';
import { setInstanceValue } from '../server/accounts/persons.repository';
import { insertDomain, writePlaces } from '../server/accounts/sites.repository';
import { listTeams } from '../server/facts/teams.repository';
import { closeDatabase } from '../server/db/open';
import { readEnv } from '../server/env';
import { startState } from '../server/start-state';
import type { State } from '../server/state';
import { DEMO_PEOPLE } from '../server/accounts/demo-door';
import { getDraft, saveChange } from '../server/designs/draft';
import { openPorch } from '../server/accounts/first-run';
import { AT_ONCE, publishDraft } from '../server/designs/publish';
import { addMember, addTeam, joinTeam, renameTeam } from '../server/accounts/team';
import { endByPerson, endByVisitor } from '../server/conversations/end-talk';
import { replyTo } from '../server/conversations/reply';
import { noForm } from '../server/conversations/forms';
import { takeMessage, takeNote } from '../server/conversations/take-message';
import { saveCalendar, setOverride } from '../server/facts/hours';
import { type DemoNames, demoDesign } from './design';
import { demoCalendars } from './hours';
import { INES, LOGO } from './pictures';
import { keepFace } from '../server/pictures/faces';
import { keepLookPicture } from '../server/pictures/look-pictures';
import type { PublishInput } from '../server/input/desk.input';
import { zoneOfSite } from '../server/facts/zones';
import { newId, newSecret } from '../server/ids';
import { SCENES, type Scene } from './scenes';

/** Demo passwords open nothing but a demo database on loopback. */
export const DEMO_PASSWORD = 'clear skies tonight';

/** Fills an empty database with Farrow Isle Observatory, whose pages are at `origin`, through use cases only. Gives the site's key. */
export async function fillDemo(state: State, origin: string): Promise<string> {
  const today = state.clock.now();
  state.clock.moveTo(today - 16 * DAY_MS);
  const at = (): number => state.clock.now();
  const [ines, rui] = DEMO_PEOPLE;
  const answers = {
    siteName: 'Farrow Isle Observatory',
    siteAddress: `${origin}/`,
    brand: '#7a2e5d',
    name: 'Inês Matos',
    mail: ines.mail,
    password: DEMO_PASSWORD,
    locale: 'en',
    zone: 'Atlantic/Azores',
    zoneConfirmed: true,
  };
  const { site, personId } = await openPorch(state, answers, at());
  await setInstanceValue(state.db, 'demo', 'yes');
  await insertDomain(state.db, site.id, origin, true);
  const actor = { siteId: site.id, personId, at: at() };
  await writePlaces(state.db, site.id, { en: 'the Azores', pt: 'Açores', de: 'Azoren', ar: 'جزر الأزور' });
  const ruiId = await addMember(state, actor, {
    mail: rui.mail,
    name: 'Rui Faria',
    password: DEMO_PASSWORD,
    role: 'responder',
    locale: 'pt',
  });
  const [desk] = await listTeams(state.db, site.id);
  if (desk === undefined) throw new Error('Expected the team that comes with a new site.');
  await renameTeam(state, actor, desk.id, 'night-desk', {
    en: 'Night desk',
    pt: 'Balcão da noite',
    de: 'Nachtdienst',
    ar: 'مكتب الليل',
  });
  await joinTeam(state, actor, desk.id, ruiId);
  const schools = await addTeam(state, actor, {
    key: 'school-visits',
    name: { en: 'School visits', pt: 'Visitas de escolas', de: 'Schulbesuche', ar: 'زيارات المدارس' },
    position: 1,
    personIds: [personId],
  });
  const loans = await addTeam(state, actor, {
    key: 'telescope-loans',
    name: {
      en: 'Telescope loans',
      pt: 'Empréstimo de telescópios',
      de: 'Fernrohrverleih',
      ar: 'إعارة التلسكوبات',
    },
    position: 2,
    personIds: [ruiId],
  });
  const hours = demoCalendars(() => newId(at()), site.zone, Math.floor(today / DAY_MS));
  for (const calendar of [hours.night, hours.office]) {
    const saved = await saveCalendar(state, actor, calendar);
    if (!saved.ok)
      throw new Error(`Expected the demo's hours to be sound, got ${JSON.stringify(saved.errors)}.`);
  }
  const logo = await keepLookPicture(state, actor, 'logo', Buffer.from(LOGO));
  if (!logo.ok) throw new Error(`Expected the demo's logo to be drawn, got ${JSON.stringify(logo.errors)}.`);
  const { once, twice, width, height } = logo.value;
  const face = await keepFace(state, actor, personId, Buffer.from(INES));
  if (!face.ok) throw new Error(`Expected the demo's face to be drawn, got ${JSON.stringify(face.errors)}.`);
  await designDemo(
    state,
    actor,
    {
      teams: { night: desk.id, schools: schools.id, loans: loans.id },
      calendars: { night: hours.night.id, office: hours.office.id },
      logo: { once, twice, width, height },
    },
    today,
  );
  for (const scene of SCENES)
    await playScene(state, { siteId: site.id, origin, people: { ines: personId, rui: ruiId } }, scene, today);
  state.clock.moveTo(today);
  // Whenever the demo is looked at, its desks are open: by hand, for a while, as an owner would for an open day.
  for (const calendar of [hours.night, hours.office])
    await setOverride(state, { ...actor, at: at() }, calendar.id, {
      isOpen: true,
      until: today + 20 * HOUR_MS,
      reason: 'Open day',
    });
  return site.key;
}

/** Four versions, as an observatory comes to them: one language, four, two dark nights that go back by themselves, three widgets. */
async function designDemo(state: State, actor: Actor, names: DemoNames, today: number): Promise<void> {
  const { design } = await getDraft(state.db, actor.siteId);
  const made = demoDesign(design, names, () => newId(actor.at));
  const widgets = made.widgets.slice(0, 1);
  const plain = widgets.map((widget) => ({
    ...widget,
    invitations: design.widgets[0]?.invitations ?? [],
    cases: [],
    texts: {},
  }));
  const dark = widgets.map((widget) => ({ ...widget, look: { ...widget.look, brand: '#1d2440' } }));
  const on = (daysAgo: number): Actor => ({ ...actor, at: today - daysAgo * DAY_MS });
  await change(state, on(15), 'hours and pages', { widgets: plain });
  await publishAs(state, on(15), { remark: 'The first one' });
  await change(state, on(12), 'languages', { locales: made.locales, widgets });
  await publishAs(state, on(12), { remark: 'In four languages, with invitations' });
  await change(state, on(11), 'brand colour', { widgets: dark });
  const wall = (daysAgo: number): string =>
    wallOf(zoneOfSite('Atlantic/Azores', today), today - daysAgo * DAY_MS);
  await publishAs(state, on(11), {
    remark: 'Two dark nights for the Leonids',
    from: wall(10),
    until: wall(8),
    takesBack: true,
  });
  await change(state, on(7), 'three widgets', { widgets: made.widgets });
  await publishAs(state, on(7), { remark: 'School visits and telescope loans have widgets of their own' });
}

async function change(state: State, actor: Actor, label: string, parts: Partial<Design>): Promise<void> {
  const { revision } = await getDraft(state.db, actor.siteId);
  const patches = Object.entries(parts).map(([name, value]) => ({
    op: 'set' as const,
    path: [name],
    value: value,
  }));
  const outcome = await saveChange(state, actor, {
    clientId: newId(actor.at),
    base: revision,
    label,
    patches,
  });
  if (outcome.kind !== 'saved')
    throw new Error(`Expected the demo's change "${label}" to be saved, got ${JSON.stringify(outcome)}.`);
}

async function publishAs(state: State, actor: Actor, asked: Partial<PublishInput>): Promise<void> {
  const { revision } = await getDraft(state.db, actor.siteId);
  const published = await publishDraft(state, actor, { revision, remark: '', ...AT_ONCE, ...asked });
  if (!published.ok)
    throw new Error(`Expected the demo's design to be publishable, got ${JSON.stringify(published.errors)}.`);
}

interface Stagehands {
  readonly siteId: string;
  readonly origin: string;
  readonly people: Readonly<Record<'ines' | 'rui', string>>;
}

/** Plays one made-up conversation at its own time. */
async function playScene(
  state: State,
  { siteId, origin, people }: Stagehands,
  scene: Scene,
  today: number,
): Promise<void> {
  const token = newSecret();
  let at = today - scene.daysAgo * DAY_MS - scene.hoursAgo * HOUR_MS - (scene.minutesAgo ?? 0) * MINUTE_MS;
  let conversationId = '';
  let hasWritten = false;
  for (const line of scene.lines) {
    state.clock.moveTo(at);
    const writer = { siteId, token: hasWritten ? token : null, at };
    const said = {
      clientId: newId(at),
      body: line.text,
      page: origin + line.page,
      design: '',
      locale: scene.locale,
      widget: 'main',
      ...(hasWritten ? {} : { newToken: token }),
    };
    if (line.by === 'visitor')
      conversationId = (await takeMessage(state, writer, said, noForm('before'))).conversation.id;
    else if (line.by === 'note')
      conversationId = (
        await takeNote(
          state,
          writer,
          { ...said, mail: scene.mail ?? '', name: scene.name ?? '' },
          noForm('note'),
        )
      ).conversation.id;
    else
      await replyTo(state, { siteId, personId: people[line.by], at }, conversationId, {
        clientId: newId(at),
        body: line.text,
      });
    hasWritten = true;
    at += (20 + (line.text.length % 50)) * SECOND_MS;
  }
  state.clock.moveTo(at);
  if (scene.endedBy === 'visitor') await endByVisitor(state, { siteId, token, at });
  if (scene.endedBy === 'person')
    await endByPerson(state, { siteId, personId: people.ines, at }, conversationId);
}

if (process.argv[1]?.endsWith('fill-demo.mjs')) {
  const state = await startState(readEnv());
  const siteKey = await fillDemo(state, process.argv[2] ?? 'http://localhost:4320');
  await closeDatabase(state.db);
  console.log(JSON.stringify({ siteKey }));
  process.exit(0);
}
