import { type EpochMs, HOUR_MS } from '../../core/model/units';
import type { PublishedSite } from '../../core/wire/published-site';
import { localeTable } from '../../core/publish/locale-table';
import { publish } from '../../core/publish/publish';
import { chooseLocale } from '../../core/words/locale';
import { findDraft } from './drafts.repository';
import { deleteOverPreviews, findPreviewEnd, insertPreview } from './previews.repository';
import type { Site } from '../accounts/sites.repository';
import { inTransaction } from '../db/transaction';
import { hashOf, newId, newSecret } from '../ids';
import type { State } from '../state';
import type { GuestFiles } from '../visitor/widget-files';
import { readFacts } from '../facts/facts';
import { getPointer } from './pointer';

/** [threat 18] A link is good for so long. */
const PREVIEW_MS = HOUR_MS;

/** [threat 18] Makes a link to the draft on the site; its secret is told once, and kept as a hash. */
export async function openPreview(
  state: Pick<State, 'db'>,
  { siteId, personId, at }: { readonly siteId: string; readonly personId: string; readonly at: EpochMs },
): Promise<{ readonly id: string; readonly token: string; readonly expires: EpochMs }> {
  const [id, token, expires] = [newId(at), newSecret(), at + PREVIEW_MS];
  await inTransaction(state.db, async (tx) => {
    await deleteOverPreviews(tx, siteId, at);
    await insertPreview(tx, siteId, { id, personId, tokenHash: hashOf(token), expires });
  });
  return { id, token, expires };
}

/** The draft as it would be if it were published now, for whoever has a link; null: the link is not good, or not any more. */
export async function previewFor(
  state: Pick<State, 'db' | 'board' | 'facts' | 'sites'>,
  {
    site,
    guest,
    token,
    preferredLocales,
    at,
  }: { site: Site; guest: GuestFiles; token: string; preferredLocales: readonly string[]; at: EpochMs },
): Promise<PublishedSite | null> {
  const end = await findPreviewEnd(state.db, site.id, hashOf(token), at);
  if (end === null) return null;
  const [draft, live, facts] = await Promise.all([
    findDraft(state.db, site.id),
    getPointer(state, site, guest, at),
    readFacts(state.db, state.facts, site.id),
  ]);
  if (draft === null || facts === null) return null;
  const { locales, defaultLocale } = draft.design;
  const table = localeTable(locales, defaultLocale);
  const made = publish(draft.design, live.version, chooseLocale(preferredLocales, table, defaultLocale));
  if (!made.ok) return null;
  // What is written meanwhile is taken as under the version that is live.
  const pointer = { ...live, design: live.design ?? NOT_PUBLISHED, locales, paused: false, askBefore: end };
  return { pointer, design: made.value, facts };
}

const NOT_PUBLISHED = 'd0-0000000000000000';
