import { LIMITS } from '../../core/limits';
import { type KeptVisit, readExpectation } from '../../core/rehearse/kept-visit';
import { readSteps, writeSteps } from '../../core/rehearse/try-visit';
import { type Result, fail, ok } from '../../core/result';
import { insertKeptVisit, listKeptVisits, removeKeptVisit } from './kept-visits.repository';
import { inTransaction } from '../db/transaction';
import type { KeepInput } from '../input/kept-visit.input';
import type { State } from '../state';

/** Keeps a visit as a check; sent twice it is kept once. */
export async function keepVisit(
  { db }: Pick<State, 'db'>,
  siteId: string,
  asked: KeepInput,
): Promise<Result<KeptVisit[]>> {
  const expects = readExpectation(asked.expects);
  if (expects === null) return fail({ expects: 'Choose what the visit must end with.' });
  const { page, at, visit, device, locale, who, asks, zone } = asked.assumptions;
  const kept: KeptVisit = {
    id: asked.id,
    name: asked.name,
    assumptions: { page, at, visit, device, locale, who, asks, zone },
    held: asked.held,
    steps: writeSteps(readSteps(asked.steps)),
    expects,
  };
  return inTransaction(db, async (tx): Promise<Result<KeptVisit[]>> => {
    const all = await listKeptVisits(tx, siteId);
    if (all.length >= LIMITS.keptVisits)
      return fail({ '': `A site keeps ${LIMITS.keptVisits} visits at most. Remove one first.` });
    await insertKeptVisit(tx, siteId, kept, all.length);
    return ok(await listKeptVisits(tx, siteId));
  });
}

export async function forgetVisit({ db }: Pick<State, 'db'>, siteId: string, id: string): Promise<void> {
  await inTransaction(db, (tx) => removeKeptVisit(tx, siteId, id));
}
