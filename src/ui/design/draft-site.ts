import type { Design } from '../../core/model/design';
import type { TeamState } from '../../core/model/moment';
import type { Result } from '../../core/result';
import { type PublishFault, publish } from '../../core/wire/publish';
import type { PublishedSite } from '../../core/wire/published-site';

/** A draft as a visitor of one locale would get it if it were published now: by the same `publish()`. */
export function draftSite(
  design: Design,
  locale: string,
  teams: Readonly<Record<string, TeamState>>,
): Result<PublishedSite, readonly PublishFault[]> {
  const made = publish(design, 0, locale);
  if (!made.ok) return made;
  return {
    ok: true,
    value: {
      design: made.value,
      facts: {
        v: 1,
        revision: 0,
        zones: {},
        calendars: {},
        teams: Object.fromEntries(Object.keys(teams).map((id) => [id, { name: {}, calendar: null }])),
      },
      pointer: {
        v: 1,
        design: null,
        facts: '',
        version: 0,
        revision: 0,
        locales: design.locales,
        paused: false,
        overrides: {},
        teams,
        panel: '',
        askBefore: null,
      },
    },
  };
}
