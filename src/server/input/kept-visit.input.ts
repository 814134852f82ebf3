import { DEVICES, type Device } from '../../core/model/device';
import { isRecord } from '../../core/model/json';
import { CleanLine } from './clean';
import { ID } from './shared.input';
import { LIMITS } from '../../core/limits';
import { TEAM_STATES, type TeamState } from '../../core/model/moment';
import type { EpochMs } from '../../core/model/units';
import {
  IsIn,
  IsInt,
  IsObject,
  IsString,
  IsTimeZone,
  Matches,
  Max,
  MaxLength,
  Min,
  Type,
  Validate,
  ValidateIf,
  ValidateNested,
  ValidatorConstraint,
  type ValidatorConstraintInterface,
} from './validators';

class CircumstancesInput {
  @Matches(/^(\/|https?:\/\/)/i) @MaxLength(LIMITS.pageAddressChars) @IsString() page!: string;
  @IsIn(['first', 'returning']) visit!: 'first' | 'returning';
  @IsIn(DEVICES) device!: Device;
  @MaxLength(LIMITS.localeChars) @IsString() locale!: string;
  /** A team by its id, of the site or not: one that is not heard of hears as nobody's case. */
  @Matches(ID) @IsString() @ValidateIf((one: CircumstancesInput) => one.asks !== null) asks!: string | null;
  /** Absent: the site's own clock. */
  @IsTimeZone() @IsString() @ValidateIf((one: CircumstancesInput) => one.zone !== null) zone: string | null =
    null;
}

class AssumptionsInput extends CircumstancesInput {
  @Max(4_102_444_800_000) @Min(1) @IsInt() at!: EpochMs;
  @IsIn(TEAM_STATES) who!: TeamState;
}

/** Null: now, and whoever is in then. */
class SituationInput extends CircumstancesInput {
  @Max(4_102_444_800_000)
  @Min(1)
  @IsInt()
  @ValidateIf((one: SituationInput) => one.at !== null)
  at!: EpochMs | null;
  @IsIn(TEAM_STATES) @ValidateIf((one: SituationInput) => one.who !== null) who!: TeamState | null;
}

/** Circumstances to be kept under a name. */
export class KeepSituationInput {
  @Matches(/^[\w-]{16,40}$/) @IsString() id!: string;
  @MaxLength(80) @Matches(/\S/, { message: 'Give it a name.' }) @IsString() @CleanLine name!: string;
  @ValidateNested() @Type(() => SituationInput) @IsObject() assumptions!: SituationInput;
}

@ValidatorConstraint({ name: 'held' })
class HeldFits implements ValidatorConstraintInterface {
  validate(value: unknown): boolean {
    return (
      isRecord(value) &&
      Object.keys(value).length <= 50 &&
      Object.entries(value).every(([id, is]) => ID.test(id) && typeof is === 'boolean')
    );
  }
  defaultMessage(): string {
    return 'Say open or closed for each calendar.';
  }
}

/** A visit to be kept as a check. */
export class KeepInput {
  @Matches(/^[\w-]{16,40}$/) @IsString() id!: string;
  @MaxLength(80) @Matches(/\S/, { message: 'Give it a name.' }) @IsString() @CleanLine name!: string;
  @ValidateNested() @Type(() => AssumptionsInput) @IsObject() assumptions!: AssumptionsInput;
  @Validate(HeldFits) held!: Readonly<Record<string, boolean>>;
  @MaxLength(8000) @IsString() steps!: string;
  /** Read by `readExpectation`. */
  @IsObject() expects!: object;
}

export class ForgetVisitInput {
  @Matches(/^[\w-]{16,40}$/) @IsString() id!: string;
}
