import { join } from 'node:path';
import { type Migration, Migrator } from 'kysely';
import * as foundations from './migrations/202611240001-foundations';
import * as calendars from './migrations/202611260001-calendars';
import * as formReplies from './migrations/202611260002-form-replies';
import * as boardsAside from './migrations/202611260003-boards-aside';
import * as keptVisits from './migrations/202611260004-kept-visits';
import * as keptSituations from './migrations/202611260005-kept-situations';
import * as uploads from './migrations/202611260006-uploads';
import * as previews from './migrations/202611260007-previews';
import * as pageBars from './migrations/202611260008-page-bars';
import * as faces from './migrations/202611260009-faces';
import * as plainNames from './migrations/202611290001-plain-names';
import * as editIds from './migrations/202612010001-edit-ids';
import * as placeNames from './migrations/202612010002-place-names';
import * as straightPlans from './migrations/202612010003-straight-plans';
import * as ownConversations from './migrations/202612010004-own-conversations';
import * as draftSteps from './migrations/202612010005-draft-steps';
import * as noStatistics from './migrations/202612010006-no-statistics';
import * as fewerEntryIndexes from './migrations/202612020001-fewer-entry-indexes';
import * as waitingSince from './migrations/202612020002-waiting-since';
import * as colleagues from './migrations/202612020003-colleagues';
import * as endingSoon from './migrations/202612020004-ending-soon';
import * as alerts from './migrations/202612020005-alerts';
import { type Db, appliedMigrations, backUpTo, brokenReferences, withoutForeignKeys } from './open';

const MIGRATIONS: Readonly<Record<string, Migration>> = {
  '202611240001-foundations': foundations,
  '202611260001-calendars': calendars,
  '202611260002-form-replies': formReplies,
  '202611260003-boards-aside': boardsAside,
  '202611260004-kept-visits': keptVisits,
  '202611260005-kept-situations': keptSituations,
  '202611260006-uploads': uploads,
  '202611260007-previews': previews,
  '202611260008-page-bars': pageBars,
  '202611260009-faces': faces,
  '202611290001-plain-names': plainNames,
  '202612010001-edit-ids': editIds,
  '202612010002-place-names': placeNames,
  '202612010003-straight-plans': straightPlans,
  '202612010004-own-conversations': ownConversations,
  '202612010005-draft-steps': draftSteps,
  '202612010006-no-statistics': noStatistics,
  '202612020001-fewer-entry-indexes': fewerEntryIndexes,
  '202612020002-waiting-since': waitingSince,
  '202612020003-colleagues': colleagues,
  '202612020004-ending-soon': endingSoon,
  '202612020005-alerts': alerts,
};

/** A migration that failed; the database is as it was before. */
export class MigrationError extends Error {
  constructor(
    migration: string,
    readonly reason: unknown,
  ) {
    super(
      `The migration "${migration}" failed and was undone; the database is as it was. The server does not start. Reason: ${String(reason)}`,
    );
  }
}

/** A file written by a newer program. */
export class NewerDatabaseError extends Error {
  constructor(migration: string) {
    super(
      `This database was written by a newer version of Sunny Porch (it knows "${migration}"). Start that version; nothing was changed.`,
    );
  }
}

/**
 * Applies all pending migrations in one transaction, after a backup of a file that holds something. Foreign keys are
 * off meanwhile, so that a table can be rebuilt without its children; whether every reference still holds is the last
 * thing that is checked inside. Throws MigrationError or NewerDatabaseError; the schema and the rows are then as they were.
 */
export async function migrateDatabase(
  db: Db,
  backupDir: string,
  migrations: Readonly<Record<string, Migration>> = MIGRATIONS,
): Promise<string[]> {
  const applied = appliedMigrations(db);
  const unknown = applied.find((name) => !Object.hasOwn(migrations, name));
  if (unknown !== undefined) throw new NewerDatabaseError(unknown);
  const pending = Object.keys(migrations)
    .filter((name) => !applied.includes(name))
    .sort();
  const [first] = pending;
  if (first === undefined) return [];
  if (applied.length > 0) await backUpTo(db, join(backupDir, `before-${first}.db`));
  const last = pending[pending.length - 1] ?? first;
  const checked = { ...migrations, [last]: withReferencesChecked(last, migrations[last]) };
  const migrator = new Migrator({ db, provider: { getMigrations: () => Promise.resolve(checked) } });
  const { error, results } = await withoutForeignKeys(db, () => migrator.migrateToLatest());
  if (error === undefined) return pending;
  throw new MigrationError(results?.find(({ status }) => status === 'Error')?.migrationName ?? first, error);
}

/** A migration that leaves a row without the one it refers to. */
export class BrokenReferenceError extends Error {}

function withReferencesChecked(name: string, migration: Migration | undefined): Migration {
  return {
    up: async (db) => {
      await migration?.up(db);
      const broken = await brokenReferences(db);
      const [first] = broken;
      if (first !== undefined)
        throw new BrokenReferenceError(
          `Expected every reference to hold after "${name}", but ${broken.length} do not: a row of "${first.table}" refers to one of "${first.parent}" that is not there.`,
        );
    },
  };
}
