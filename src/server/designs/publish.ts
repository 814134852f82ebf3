import type { Actor } from '../actor';
import { createHash } from 'node:crypto';
import { gzipSync } from 'node:zlib';
import { wallOf } from '../../core/hours/wall';
import type { Design } from '../../core/model/design';
import type { EpochMs } from '../../core/model/units';
import { overlapping } from '../../core/publish/in-force';
import { type PeriodFault, periodOf } from '../../core/publish/period';
import { type Result, fail, ok } from '../../core/result';
import type { DesignFileV1 } from '../../core/wire/design-file';
import { splitDesign } from '../../core/publish/split-design';
import { SPLIT_ABOVE_BYTES } from '../../core/publish/split-design';
import { publish } from '../../core/publish/publish';
import { findDraft } from './drafts.repository';
import { insertFile, listPublications } from './publications.repository';
import {
  findLastingDesign,
  findNewestNumber,
  findVersion,
  insertPublication,
  insertVersion,
} from './versions.repository';
import { getSite } from '../accounts/sites.repository';
import type { Tx } from '../db/open';
import { inTransaction } from '../db/transaction';
import { newId } from '../ids';
import type { BringBackInput, PublishInput } from '../input/desk.input';
import type { State } from '../state';
import { zoneOfSite } from '../facts/zones';
import { replaceDraft } from './draft';
import { tellNews } from '../facts/presence';

/** Nothing is set for later. */
export const AT_ONCE = { from: null, until: null, takesBack: false } as const;

/**
 * Makes the draft a version that is in force at once, from a moment on, or for a period: every locale's file is stored
 * before the pointer can name it, in one transaction ([L3]). Only the revision that was looked at is published. Periods
 * may not overlap ([L6]).
 */
export async function publishDraft(
  state: Pick<State, 'db' | 'hub'>,
  actor: Actor,
  asked: PublishInput,
): Promise<Result<number>> {
  const { siteId } = actor;
  const outcome = await inTransaction(state.db, async (tx): Promise<Result<number>> => {
    const draft = await findDraft(tx, siteId);
    if (draft === null || draft.revision !== asked.revision)
      return fail({
        revision:
          'The draft has changed since you looked at it. Nothing was published; look again, then publish.',
      });
    const when = await whenAsked(tx, actor, asked);
    if (!when.ok) return when;
    const lasting = when.value.until !== null && asked.takesBack ? await findLastingDesign(tx, siteId) : null;
    return release(tx, actor, draft.design, {
      about: { remark: asked.remark, broughtBackFrom: null },
      when: when.value,
      draft: lasting === null ? null : [lasting, 'Back to how it is outside of the period'],
    });
  });
  if (outcome.ok) tellNews(state, siteId);
  return outcome;
}

/** An earlier version once more, as a new one that is in force at once; the draft follows, which can be undone. */
export async function bringBack(
  state: Pick<State, 'db' | 'hub'>,
  actor: Actor,
  number: number,
  { remark }: BringBackInput,
): Promise<Result<number>> {
  const outcome = await inTransaction(state.db, async (tx): Promise<Result<number>> => {
    const version = await findVersion(tx, actor.siteId, number);
    if (version === null) return fail({ '': 'There is no such version.' });
    return release(tx, actor, version.design, {
      about: { remark, broughtBackFrom: number },
      when: { from: actor.at, until: null, fromWall: null, untilWall: null, zone: null },
      draft: [version.design, `Version ${number} brought back`],
    });
  });
  if (outcome.ok) tellNews(state, actor.siteId);
  return outcome;
}

interface When {
  readonly from: EpochMs;
  readonly until: EpochMs | null;
  readonly fromWall: string | null;
  readonly untilWall: string | null;
  readonly zone: string | null;
}

const PERIOD_WORDS: { readonly [K in PeriodFault['code']]: string } = {
  'no-date': 'This is no date and time.',
  'ends-before-it-begins': 'It ends before it begins.',
};

/** When a version is to be in force, by the clock of the site; refused where it is over, or meets another period. */
async function whenAsked(
  tx: Tx,
  { siteId, at }: Actor,
  { from, until }: PublishInput,
): Promise<Result<When>> {
  if (from === null && until === null)
    return ok({ from: at, until: null, fromWall: null, untilWall: null, zone: null });
  const site = await getSite(tx, siteId);
  const zone = zoneOfSite(site.zone, at);
  const period = periodOf(zone, { from: from ?? wallOf(zone, at), until });
  if (!period.ok) return fail({ [period.errors.at]: PERIOD_WORDS[period.errors.code] });
  const begins = from === null ? at : period.value.from;
  const ends = period.value.until;
  if (begins < at) return fail({ from: 'This moment is over. Choose one to come, or publish at once.' });
  const met = ends === null ? [] : overlapping(await listPublications(tx, siteId, at), begins, ends);
  const [first] = met;
  if (first !== undefined)
    return fail({
      from: `Version ${first.version} is set for ${wallOf(zone, first.from).replace('T', ' ')} to ${wallOf(zone, first.until ?? first.from).replace('T', ' ')}. Two periods cannot overlap; change one of them.`,
    });
  return ok({ from: begins, until: ends, fromWall: from, untilWall: until, zone: site.zone });
}

interface Release {
  readonly about: { readonly remark: string; readonly broughtBackFrom: number | null };
  readonly when: When;
  /** What the draft becomes, and what that change is called; null: it stays. */
  readonly draft: readonly [design: Design, label: string] | null;
}

/** Stores a design as the next version with its files, and says when it is in force. Nothing is written where it fails. */
async function release(
  tx: Tx,
  actor: Actor,
  design: Design,
  { about, when, draft }: Release,
): Promise<Result<number>> {
  const { siteId, personId, at } = actor;
  const number = (await findNewestNumber(tx, siteId)) + 1;
  const files = compiled(design, number);
  if (!files.ok) return files;
  if (draft !== null) {
    const outcome = await replaceDraft(tx, actor, ...draft);
    if (outcome.kind === 'refused') return fail(outcome.errors);
  }
  await insertVersion(tx, siteId, { number, design, at, ...about }, personId);
  for (const [name, body] of files.value)
    await insertFile(
      tx,
      siteId,
      { name, kind: 'design', versionNumber: number, factsRevision: null, body },
      at,
    );
  await insertPublication(tx, siteId, { id: newId(at), version: number, ...when });
  return ok(number);
}

/** The files of a version, one or two for each locale, named by one hash over all of them ([L3]). */
function compiled(design: Design, number: number): Result<[name: string, body: Buffer][]> {
  const files: { locale: string; json: string }[] = [];
  for (const locale of design.locales) {
    const made = publish(design, number, locale);
    if (!made.ok)
      return fail(
        Object.fromEntries(
          made.errors.map((fault) => [
            `${fault.locale}.${fault.key}`,
            `This text cannot be read: ${fault.code} at ${fault.at}.`,
          ]),
        ),
      );
    files.push({ locale, json: JSON.stringify(made.value) });
  }
  const digest = createHash('sha256')
    .update(files.map(({ json }) => json).join('\n'))
    .digest('hex')
    .slice(0, 16);
  return ok(files.flatMap(({ locale, json }) => filesOf(`d${number}-${digest}.${locale}`, json)));
}

/** A design's file, or its two where the whole would be larger than a launcher should wait for. */
function filesOf(name: string, json: string): [name: string, body: Buffer][] {
  const zip = (text: string): Buffer => gzipSync(text, { level: 9 });
  const whole = zip(json);
  if (whole.length <= SPLIT_ABOVE_BYTES) return [[`${name}.json`, whole]];
  const { door, room } = splitDesign(JSON.parse(json) as DesignFileV1);
  return [
    [`${name}.json`, zip(JSON.stringify(door))],
    [`${name}.room.json`, zip(JSON.stringify(room))],
  ];
}
