import type { Design } from '../../../core/model/design';
import type { Result } from '../../../core/result';
import type { Overview } from '../../../core/wire/desk';
import type { FactsFileV1 } from '../../../core/wire/facts-file';
import { type PublishFault, publish } from '../../../core/publish/publish';
import type { PublishedSite } from '../../../core/wire/published-site';

/**
 * A draft as a visitor of one locale would get it if it were published now: by the same `publish()`, with the facts and
 * the states of this moment ([L1]).
 */
export function draftSite(
  design: Design,
  locale: string,
  {
    teams,
    facts,
    overrides,
    you,
  }: Pick<Overview, 'teams' | 'facts' | 'overrides'> & Partial<Pick<Overview, 'you'>>,
): Result<PublishedSite, readonly PublishFault[]> {
  const made = publish(design, 0, locale);
  if (!made.ok) return made;
  const names = Object.fromEntries(teams.map(({ id, key, name }) => [id, { key, name, calendar: null }]));
  return {
    ok: true,
    value: {
      ...(you === undefined ? {} : { answerer: you }),
      design: made.value,
      facts: { ...(facts ?? NOTHING), teams: names },
      pointer: {
        v: 1,
        design: null,
        facts: '',
        version: 0,
        revision: 0,
        locales: design.locales,
        paused: false,
        overrides,
        teams: Object.fromEntries(teams.map(({ id, state }) => [id, state])),
        panel: '',
        askBefore: null,
      },
    },
  };
}

const NOTHING: FactsFileV1 = { v: 1, revision: 0, zones: {}, calendars: {}, teams: {} };
