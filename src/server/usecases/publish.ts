import { createHash } from 'node:crypto';
import { gzipSync } from 'node:zlib';
import type { EpochMs } from '../../core/model/units';
import { type Result, fail, ok } from '../../core/result';
import type { DesignFileV1 } from '../../core/wire/design-file';
import { SPLIT_ABOVE_BYTES, splitDesign } from '../../core/wire/split';
import { publish } from '../../core/wire/publish';
import { findDraft } from '../db/repositories/drafts';
import { findNewestVersion, insertBasePublication, insertFile, insertVersion } from '../db/repositories/publications';
import { inTransaction } from '../db/transaction';
import { newId } from '../ids';
import type { PublishInput } from '../input/desk.input';
import type { State } from '../state';
import { tellNews } from './presence';

/**
 * Makes the draft the version in force: every locale's file is stored before the pointer can name it, in one
 * transaction ([L3]). Only the revision that was looked at is published.
 */
export async function publishDraft(
  state: Pick<State, 'db' | 'hub'>,
  actor: { siteId: string; personId: string; at: EpochMs },
  asked: PublishInput,
): Promise<Result<number>> {
  const { siteId, personId, at } = actor;
  const outcome = await inTransaction(state.db, async (tx): Promise<Result<number>> => {
    const draft = await findDraft(tx, siteId);
    if (draft === null || draft.revision !== asked.revision)
      return fail({ revision: 'The draft has changed since you looked at it. Nothing was published; look again, then publish.' });
    const number = ((await findNewestVersion(tx, siteId))?.number ?? 0) + 1;
    const files: { locale: string; json: string }[] = [];
    for (const locale of draft.design.locales) {
      const made = publish(draft.design, number, locale);
      if (!made.ok)
        return fail(
          Object.fromEntries(
            made.errors.map((fault) => [`${fault.locale}.${fault.key}`, `This text cannot be read: ${fault.code} at ${fault.at}.`]),
          ),
        );
      files.push({ locale, json: JSON.stringify(made.value) });
    }
    const digest = createHash('sha256')
      .update(files.map(({ json }) => json).join('\n'))
      .digest('hex')
      .slice(0, 16);
    await insertVersion(tx, siteId, { number, design: draft.design, at }, personId, asked.remark);
    for (const { locale, json } of files) {
      for (const [name, body] of filesOf(`d${number}-${digest}.${locale}`, json))
        await insertFile(tx, siteId, { name, kind: 'design', versionNumber: number, factsRevision: null, body }, at);
    }
    await insertBasePublication(tx, siteId, newId(at), number, at);
    return ok(number);
  });
  if (outcome.ok) tellNews(state, siteId);
  return outcome;
}

/** A design's file, or its two where the whole would be larger than a launcher should wait for (wire.md). */
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
