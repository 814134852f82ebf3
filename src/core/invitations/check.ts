import { DEVICES } from '../model/device';
import { isRecord } from '../model/json';
import { LIMITS } from '../limits';
import { AUDIENCE_KINDS, type Condition, type ConditionBody, INSTANT_KINDS } from '../model/condition';
import { ADDRESS_PARTS } from '../model/page-rule';
import { PAGE_RULE_KINDS } from '../model/page-rule';
import { WIDGET_STATES } from '../model/moment';

/** Whether an unknown value is what a condition of its kind needs: every name known, every value within its bound. */
export function isCondition(value: unknown): value is Condition {
  if (!isRecord(value) || typeof value['isNot'] !== 'boolean') return false;
  const kind = value['kind'];
  if (typeof kind !== 'string' || !Object.hasOwn(SHAPES, kind)) return false;
  if (value['isNot'] && INSTANT_KINDS.includes(kind as ConditionBody['kind'])) return false; // [I1]
  return hasShape(value, {
    ...SHAPES[kind as ConditionBody['kind']],
    kind: isText(40),
    isNot: (one) => typeof one === 'boolean',
  });
}

/** [P15] */
export function isAudienceCondition(value: unknown): value is Condition {
  return isCondition(value) && (AUDIENCE_KINDS as readonly string[]).includes(value.kind);
}

/** [I1] *All of* or *any of* conditions, or of one level of groups of them. */
export function isWhen(value: unknown): boolean {
  return isGroupOf(
    value,
    'items',
    (item) => isCondition(item) || (isGroupOf(item, 'conditions', isCondition) && hasNot(item)),
  );
}

function isGroupOf(value: unknown, name: string, isItem: (item: unknown) => boolean): boolean {
  if (!isRecord(value) || (value['join'] !== 'all' && value['join'] !== 'any')) return false;
  const items = value[name];
  return (
    Array.isArray(items) &&
    items.length <= LIMITS.conditions &&
    items.every(isItem) &&
    Object.keys(value).every((one) => ['join', 'isNot', name].includes(one))
  );
}

function hasNot(value: unknown): boolean {
  return isRecord(value) && typeof value['isNot'] === 'boolean';
}

type Check = (value: unknown) => boolean;
type Shape = Readonly<Record<string, Check>>;

const isNumberIn =
  (least: number, most: number): Check =>
  (value) =>
    typeof value === 'number' && Number.isInteger(value) && value >= least && value <= most;
const isText =
  (most: number, least = 1): Check =>
  (value) =>
    typeof value === 'string' && value.length >= least && value.length <= most;
const isListOf =
  (isItem: Check): Check =>
  (value) =>
    Array.isArray(value) && value.length > 0 && value.length <= LIMITS.conditionValues && value.every(isItem);
const isOneOf =
  (values: readonly unknown[]): Check =>
  (value) =>
    values.includes(value);
const isRule: Check = (value) =>
  isRecord(value) &&
  hasShape(value, {
    id: isText(40, 8),
    kind: isOneOf(PAGE_RULE_KINDS),
    part: isOneOf(ADDRESS_PARTS),
    text: isText(LIMITS.pageRuleChars),
    ignoresCase: (one) => typeof one === 'boolean',
  });
const isDay = isNumberIn(0, 100_000);
const isGivenValue: Check = (value) => value === null || isText(LIMITS.attributeChars, 0)(value);
const isSelector = isText(200);

const SHAPES: { readonly [K in ConditionBody['kind']]: Shape } = {
  page: { rules: isListOf(isRule) },
  referrer: { rules: isListOf(isRule) },
  'pages-seen': { atLeast: isNumberIn(1, 1000) },
  visit: { is: isOneOf(['first', 'returning']) },
  'visit-number': { atLeast: isNumberIn(1, 1000) },
  'visits-in-days': { atLeast: isNumberIn(1, 30), days: isNumberIn(1, 365) },
  'days-since-visit': { atLeast: isNumberIn(0, 365) },
  campaign: { name: isText(LIMITS.attributeChars) },
  language: { languages: isListOf(isText(LIMITS.localeChars)) },
  device: { devices: isListOf(isOneOf(DEVICES)) },
  state: { states: isListOf(isOneOf(WIDGET_STATES)) },
  attribute: { name: isText(LIMITS.attributeNameChars), value: isGivenValue },
  parameter: { name: isText(LIMITS.attributeNameChars), value: isGivenValue },
  country: { countries: isListOf((value) => typeof value === 'string' && /^[A-Z]{2}$/.test(value)) },
  'week-time': { days: isListOf(isNumberIn(0, 6)), from: isNumberIn(0, 1439), to: isNumberIn(0, 1440) },
  dates: { from: isDay, to: isDay },
  'on-page': { seconds: isNumberIn(0, 86_400) },
  'in-visit': { seconds: isNumberIn(0, 86_400) },
  idle: { seconds: isNumberIn(1, 86_400) },
  scrolled: { percent: isNumberIn(1, 100) },
  seen: { selector: isSelector },
  leaving: {},
  clicked: { selector: isSelector },
  'form-left': {},
};

function hasShape(value: Readonly<Record<string, unknown>>, shape: Shape): boolean {
  return (
    Object.keys(value).every((name) => Object.hasOwn(shape, name)) &&
    Object.entries(shape).every(([name, check]) => check(value[name]))
  );
}
