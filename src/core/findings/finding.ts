import type { Covering } from '../look/collisions';
import type { OnPage } from '../look/on-page';
import type { Design } from '../model/design';
import type { EpochMs, HexColor } from '../model/units';
import type { FactsFileV1 } from '../wire/facts-file';
import type { DrawnMoment } from '../model/moment';

/** What is computed to be wrong or doubtful . */
export const FINDING_CODES = [
  'notes-without-recipient',
  'mail-promised-no-mail-field',
  'mail-promised-none-sent',
  'no-letters-yet',
  'field-hidden-but-required',
  'consent-without-link',
  'team-gone',
  'calendar-gone',
  'hours-never-open',
  'zone-unconfirmed',
  'invitation-never',
  'invitations-collide',
  'two-speak-within-gap',
  'invitation-needs-memory',
  'case-unreachable',
  'rule-swallowed',
  'widget-swallowed',
  'text-contrast',
  'launcher-contrast',
  'bar-covered',
  'translation-missing',
  'address-local-only',
  'page-https-app-http',
  'proxy-not-trusted',
] as const;
export type FindingCode = (typeof FINDING_CODES)[number];

/** Codes of what has to be mended before publishing; the rest is worth a look. */
const MUST_FIX: ReadonlySet<FindingCode> = new Set([
  'notes-without-recipient',
  'mail-promised-no-mail-field',
  'mail-promised-none-sent',
  'field-hidden-but-required',
  'consent-without-link',
  'team-gone',
  'calendar-gone',
  'hours-never-open',
  'text-contrast',
  'launcher-contrast',
  'address-local-only',
  'page-https-app-http',
]);

export interface Finding {
  /** The same for the same fault, however often it is computed: by it a finding is dismissed. */
  readonly key: string;
  readonly code: FindingCode;
  readonly level: 'must-fix' | 'suggestion';
  /** The widget it is about; null: the site. */
  readonly widgetId: string | null;
  /** Where it can be mended on the path; null: elsewhere. */
  readonly moment: DrawnMoment | 'availability' | null;
  /** The moment card a visitor cannot get on from because of it: it is drawn cracked. */
  readonly deadEnd: DrawnMoment | null;
  /** What its sentence needs: names and numbers. */
  readonly values: Readonly<Record<string, string | number>>;
}

/** What only a screen can tell of a widget on the owner's page. */
export interface Measured {
  /** The main colours of the page behind what stands on it; null: there is no picture of it. */
  readonly onPage: Readonly<Record<OnPage, readonly HexColor[]>> | null;
  /** What lies over bars of the page. */
  readonly coverings: readonly Covering[];
}

/** What findings are computed from. */
export interface FindingContext {
  readonly design: Design;
  /** Null: nothing was written yet. */
  readonly facts: FactsFileV1 | null;
  /** How many people answer in each team. */
  readonly peopleOf: Readonly<Record<string, number>>;
  /** Origin under which browsers reach us. */
  readonly ownAddress: string;
  /** The proxy that sends addresses which are not believed, as no proxy is trusted; null: none has. */
  readonly proxySeen: string | null;
  /** Addresses whose pages may carry the widget. */
  readonly domains: readonly string[];
  readonly isZoneConfirmed: boolean;
  /** What was measured of widgets on the owner's page, by their ids; what was not measured has no findings. */
  readonly measured: Readonly<Record<string, Measured>>;
  readonly now: EpochMs;
}

type Rest = Partial<Pick<Finding, 'level' | 'widgetId' | 'moment' | 'deadEnd' | 'values'>>;

/** A finding about something: `about` tells it from others of its code. */
export function finding(code: FindingCode, about: readonly string[], rest: Rest = {}): Finding {
  const level = MUST_FIX.has(code) ? 'must-fix' : 'suggestion';
  return {
    key: [code, ...about].join(' '),
    code,
    level,
    widgetId: null,
    moment: null,
    deadEnd: null,
    values: {},
    ...rest,
  };
}
