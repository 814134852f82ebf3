import { type Condition, type Group, type When, isGroup } from '../../core/model/condition';
import type { PageRule } from '../../core/model/page-rule';
import type { OncePer } from '../../core/model/invitation';
import { DAY_MS, MINUTE_MS } from '../../core/model/units';
import { languageName } from './languages';
import { stateClause } from './states';

/** When an invitation comes, whole: `40 s on the page and not (on a phone or leaving)`. Two that differ are never said alike. */
export function whenWords({ join, items }: When): string {
  if (items.length === 0) return join === 'all' ? 'at once' : 'never';
  return items
    .map((item) => (isGroup(item) ? groupWords(item) : conditionWords(item)))
    .join(join === 'all' ? ' and ' : ' or ');
}

function groupWords({ join, conditions, isNot }: Group): string {
  const said =
    conditions.length === 0
      ? join === 'all'
        ? 'always'
        : 'never'
      : conditions.map(conditionWords).join(join === 'all' ? ' and ' : ' or ');
  return `${isNot ? 'not ' : ''}(${said})`;
}

/** One condition with all its values. */
export function conditionWords(condition: Condition): string {
  return `${condition.isNot ? 'not ' : ''}${plainWords(condition)}`;
}

function plainWords(condition: Condition): string {
  switch (condition.kind) {
    case 'page':
      return `on a page whose ${orList(condition.rules.map(ruleWords))}`;
    case 'referrer':
      return `coming from a page whose ${orList(condition.rules.map(ruleWords))}`;
    case 'pages-seen':
      return `${condition.atLeast} or more pages seen`;
    case 'visit':
      return condition.is === 'first' ? 'on a first visit' : 'on a returning visit';
    case 'visit-number':
      return `on visit ${condition.atLeast} or later`;
    case 'visits-in-days':
      return `${condition.atLeast} or more visits in ${condition.days} days`;
    case 'days-since-visit':
      return `${condition.atLeast} or more days since the last visit`;
    case 'campaign':
      return `from the campaign “${condition.name}”`;
    case 'language':
      return `reading ${orList(condition.languages.map((one) => languageName(one)))}`;
    case 'device':
      return `on a ${orList(condition.devices.map(deviceNoun))}`;
    case 'state':
      return `while ${orList(condition.states.map(stateClause))}`;
    case 'attribute':
      return `${condition.value === null ? `“${condition.name}” set by the page` : `“${condition.name}” set to “${condition.value}”`}`;
    case 'parameter':
      return condition.value === null
        ? `“${condition.name}” in the address`
        : `“${condition.name}=${condition.value}” in the address`;
    case 'country':
      return `from ${orList(condition.countries)}`;
    case 'week-time':
      return `${orList(condition.days.map(dayName))}, ${clock(condition.from)}–${clock(condition.to)}`;
    case 'dates':
      return `from ${date(condition.from)} to ${date(condition.to)}`;
    case 'on-page':
      return `${condition.seconds} s on the page`;
    case 'in-visit':
      return `${condition.seconds} s in the visit`;
    case 'idle':
      return `${condition.seconds} s without activity`;
    case 'scrolled':
      return `scrolled ${condition.percent} %`;
    case 'seen':
      return `“${condition.selector}” in view`;
    case 'leaving':
      return 'about to leave';
    case 'clicked':
      return `a click on “${condition.selector}”`;
    case 'form-left':
      return 'a form left half finished';
  }
}

const PARTS: Readonly<Record<PageRule['part'], string>> = {
  host: 'host',
  path: 'path',
  query: 'query',
  fragment: 'part after #',
  whole: 'whole address',
};
const RULES: Readonly<Record<PageRule['kind'], string>> = {
  exact: 'is',
  'begins-with': 'begins with',
  contains: 'contains',
  'ends-with': 'ends with',
  wildcard: 'matches the wildcard',
  expression: 'matches the expression',
};

/** A page rule in words: `path begins with “/groups/”`. */
export function ruleWords({ kind, part, text, ignoresCase }: Omit<PageRule, 'id'>): string {
  return `${PARTS[part]} ${RULES[kind]} “${text}”${ignoresCase ? ' (upper or lower case)' : ''}`;
}

/** How often one visitor may get an invitation. */
export function oncePerWords(oncePer: OncePer): string {
  if (oncePer.kind === 'days') return `once in ${oncePer.days} days`;
  return `once per ${oncePer.kind === 'page' ? 'page view' : oncePer.kind}`;
}

/** Alternatives: `a, b or c`. */
export function orList(parts: readonly string[]): string {
  return OR.format(parts);
}

const DEVICES: Readonly<Record<string, string>> = { desktop: 'computer', tablet: 'tablet', phone: 'phone' };

/** What a visitor reads on; one that a later program knows, by its code. */
export function deviceNoun(device: string): string {
  return DEVICES[device] ?? device;
}

const OR = new Intl.ListFormat('en', { type: 'disjunction' });
const DAY = new Intl.DateTimeFormat('en-GB', { weekday: 'short', timeZone: 'UTC' });
const DATE = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  timeZone: 'UTC',
});

/** Monday is 0; 1 January 2024 was one. */
function dayName(day: number): string {
  return DAY.format(Date.UTC(2024, 0, 1) + day * DAY_MS);
}

/** Minutes of a day as the clock shows them; past midnight it is the next day's. */
function clock(minutes: number): string {
  const time = new Date((minutes % 1440) * MINUTE_MS).toISOString().slice(11, 16);
  return minutes < 1440 ? time : `${time} of the next day`;
}

function date(day: number): string {
  return DATE.format(day * DAY_MS);
}
