import { isRecord } from '../../core/model/json';
import { WithinSetting } from './within-setting';
import { isAudienceCondition, isWhen } from '../../core/invitations/check';
import { LIMITS } from '../../core/limits';
import type { When } from '../../core/model/condition';
import { type OwnCase } from '../../core/model/design';
import type { PageRule } from '../../core/model/page-rule';
import { ADDRESS_PARTS } from '../../core/model/page-rule';
import { PAGE_RULE_KINDS } from '../../core/model/page-rule';
import {
  type Invitation,
  type InvitationLimits,
  APPROACHES,
  type OncePer,
} from '../../core/model/invitation';
import type { CaseKey } from '../../core/model/text-keys';
import { isCaseKey, textKeyOf } from '../../core/words/catalogue';
import type { TextKey } from '../../core/model/text-keys';
import { isCaseWhen } from '../../core/words/check-case';
import { CleanLine } from './clean';
import { ID, KnownKey, wordsFit } from './shared.input';
import {
  IsBoolean,
  IsIn,
  IsInt,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
  Validate,
  ValidateIf,
  ValidatorConstraint,
  type ValidatorConstraintInterface,
} from './validators';

export class PageRuleInput implements PageRule {
  @Matches(ID) @IsString() id!: string;
  @IsIn(PAGE_RULE_KINDS) kind!: PageRule['kind'];
  @IsIn(ADDRESS_PARTS) part!: PageRule['part'];
  @MaxLength(LIMITS.pageRuleChars) @MinLength(1) @IsString() text!: string;
  @IsBoolean() ignoresCase!: boolean;
}

/** A whole value judged by one function of core. */
function fits(judge: (value: unknown) => boolean, message: string) {
  @ValidatorConstraint({ name: 'fits' })
  class Fits implements ValidatorConstraintInterface {
    validate(value: unknown): boolean {
      return judge(value);
    }
    defaultMessage(): string {
      return message;
    }
  }
  return Fits;
}

/** [P15] */
export const AudienceFits = fits(
  (value) => Array.isArray(value) && value.length <= 10 && value.every(isAudienceCondition),
  'An audience asks for device, language, referrer, campaign, parameter, attribute or country.',
);

function isOncePer(value: unknown): boolean {
  if (!isRecord(value)) return false;
  const { kind, days, ...more } = value;
  if (Object.keys(more).length > 0) return false;
  if (kind === 'days') return typeof days === 'number' && Number.isInteger(days) && days >= 1 && days <= 365;
  return days === undefined && (kind === 'page' || kind === 'visit' || kind === 'visitor');
}

export class InvitationInput implements Invitation {
  @Matches(ID) @IsString() id!: string;
  @MaxLength(60)
  @MinLength(1, { message: 'Give the invitation a name.' })
  @IsString()
  @CleanLine
  name!: string;
  @IsBoolean() isOn!: boolean;
  @IsIn(APPROACHES) approach!: Invitation['approach'];
  @IsBoolean() opensOnPhones!: boolean;
  @Validate(fits(isWhen, 'One of the conditions is not of a kind we know, or out of its bounds.'))
  when!: When;
  @Validate(fits(isOncePer, 'Once per page view, visit, visitor, or 1 to 365 days.')) oncePer!: OncePer;
  @Max(1000) @Min(1) @IsInt() @ValidateIf((one: Invitation) => one.atMost !== null) atMost!: number | null;
  @Validate(KnownKey) @ValidateIf((one: Invitation) => one.defaultText !== null) defaultText!: CaseKey | null;
  @Validate(wordsFit(LIMITS.invitationChars)) texts!: Record<string, string>;
}

export class LimitsInput implements InvitationLimits {
  @WithinSetting('perVisit') perVisit!: number;
  @WithinSetting('gap') gap!: number;
  @WithinSetting('beforeClosing') beforeClosing!: number;
  @WithinSetting('afterTalk') afterTalk!: number;
  @WithinSetting('restDays') restDays!: number;
}

export class OwnCaseInput implements OwnCase {
  @Matches(ID) @IsString() id!: string;
  @Validate(
    fits(
      (value) => typeof value === 'string' && isCaseKey(value) && textKeyOf(value) === value,
      'No text has this name.',
    ),
  )
  key!: TextKey;
  @Validate(fits(isCaseWhen, 'A case asks one to three things that we know.')) when!: OwnCase['when'];
  @Validate(wordsFit(LIMITS.textChars)) texts!: Record<string, string>;
  @Validate(wordsFit(LIMITS.textChars)) without!: Record<string, string>;
}
