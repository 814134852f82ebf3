import { readOrigin } from '../../core/pages/origins';
import { LIMITS } from '../../core/limits';
import {
  ALERT_AGAIN_MINUTES,
  ALERT_SCOPES,
  ALERT_SOUNDS,
  type AlertScope,
  type AlertSettings,
  type AlertSound,
  type QuietHours,
} from '../../core/model/alert-settings';
import {
  IsBoolean,
  IsIn,
  IsInt,
  IsObject,
  IsOptional,
  IsString,
  IsTimeZone,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
  Transform,
  Type,
  Validate,
  ValidateIf,
  ValidateNested,
  ValidatorConstraint,
  type ValidatorConstraintInterface,
} from './validators';
import { CleanLine } from './clean';
import { MailShaped } from './visitor.input';

/** An address of mail is judged as it was typed: one with unseen signs is refused. */
export const trimmed = Transform(({ value }: { value: unknown }) =>
  typeof value === 'string' ? value.trim() : value,
);

/** What people type as an address may lack its scheme: `granite.example` is one. */
const withScheme = Transform(({ value }: { value: unknown }) => {
  if (typeof value !== 'string') return value;
  const text = value.trim();
  return text === '' || /^[a-z][a-z0-9+.-]*:/i.test(text) ? text : `https://${text}`;
});

/** An address of a site, or none yet. */
@ValidatorConstraint({ name: 'address' })
class AddressOrNone implements ValidatorConstraintInterface {
  validate(value: unknown): boolean {
    return value === '' || (typeof value === 'string' && !value.includes('*') && readOrigin(value) !== null);
  }
  defaultMessage(): string {
    return 'Type an address such as farrowisle.example, or leave it empty.';
  }
}

export class SignInInput {
  @Validate(MailShaped) @trimmed mail!: string;
  @MaxLength(LIMITS.passwordCharsMax)
  @MinLength(1, { message: 'Type your password.' })
  @IsString()
  password!: string;
}

/** The five things of the first page, and what is folded below them. */
export class FirstRunInput {
  @MaxLength(LIMITS.siteNameChars, {
    message: `Keep it under ${LIMITS.siteNameChars} characters; it is shown at the top of the window.`,
  })
  @MinLength(1, { message: 'Give your site a name; visitors read it at the top of the window.' })
  @IsString()
  @CleanLine
  siteName!: string;
  /** Empty: none yet. */
  @MaxLength(LIMITS.pageAddressChars) @Validate(AddressOrNone) @IsString() @withScheme siteAddress!: string;
  @Matches(/^#[0-9a-f]{6}$/i, { message: 'Choose a colour, or type one as # and six digits.' })
  @IsString()
  brand!: string;
  @MaxLength(LIMITS.personNameChars, { message: `Keep it under ${LIMITS.personNameChars} characters.` })
  @IsString()
  @CleanLine
  name!: string;
  @Validate(MailShaped) @trimmed mail!: string;
  @MaxLength(LIMITS.passwordCharsMax, { message: `Keep it under ${LIMITS.passwordCharsMax} characters.` })
  @MinLength(LIMITS.passwordCharsMin, { message: `Use ${LIMITS.passwordCharsMin} characters or more.` })
  @IsString()
  password!: string;
  @MaxLength(LIMITS.localeChars)
  @Matches(/^[a-z]{2,3}(-[A-Za-z0-9]+)*$/, { message: 'Choose a language.' })
  @IsString()
  locale!: string;
  @IsTimeZone({ message: 'Choose a time zone.' }) @IsString() zone!: string;
  @IsString() @IsOptional() code?: string;
  @IsBoolean() @IsOptional() zoneConfirmed?: boolean;
}

export class SiteNameInput {
  @MaxLength(LIMITS.siteNameChars, { message: `Use at most ${LIMITS.siteNameChars} characters.` })
  @MinLength(1, { message: 'Give your site a name; visitors read it at the top of the window.' })
  @IsString()
  @CleanLine
  name!: string;
}

export class ZoneInput {
  @IsTimeZone({ message: 'Choose a time zone.' }) @IsString() zone!: string;
}

/** What visitors in other zones read after the site's time; empty: the zone's city. */
export class PlaceInput {
  @MaxLength(LIMITS.localeChars)
  @Matches(/^[a-z]{2,3}(-[A-Za-z0-9]+)*$/)
  @IsString()
  locale!: string;
  @MaxLength(LIMITS.placeChars, { message: `Use at most ${LIMITS.placeChars} characters.` })
  @IsString()
  @CleanLine
  place!: string;
}

/** An address as it was typed; what it comes to is worked out by `readOrigin`. */
export class OriginInput {
  @MaxLength(LIMITS.pageAddressChars) @IsString() @CleanLine origin!: string;
}

export class PersonNameInput {
  @MaxLength(LIMITS.personNameChars, { message: `Use at most ${LIMITS.personNameChars} characters.` })
  @MinLength(1, { message: 'Type your name; visitors read it next to your answers.' })
  @IsString()
  @CleanLine
  name!: string;
}

/** Another address to sign in with: whoever asks knows the password. */
export class MailChangeInput {
  @Validate(MailShaped) @trimmed mail!: string;
  @MaxLength(LIMITS.passwordCharsMax)
  @MinLength(1, { message: 'Type your password.' })
  @IsString()
  password!: string;
}

export class PasswordChangeInput {
  @MaxLength(LIMITS.passwordCharsMax)
  @MinLength(1, { message: 'Type your password.' })
  @IsString()
  password!: string;
  @MaxLength(LIMITS.passwordCharsMax, { message: `Use at most ${LIMITS.passwordCharsMax} characters.` })
  @MinLength(LIMITS.passwordCharsMin, { message: `Use ${LIMITS.passwordCharsMin} characters or more.` })
  @IsString()
  newPassword!: string;
}

/** For how long conversations are kept; `isSure`: also where that deletes some. */
export class RetentionInput {
  @Max(LIMITS.retentionDaysMax, { message: 'Ten years at most: 3650 days.' })
  @Min(1, { message: 'Keep them for a day at least.' })
  @IsInt({ message: 'Type a number of days.' })
  days!: number;
  @IsBoolean() isSure!: boolean;
}

class QuietHoursInput implements QuietHours {
  @Max(1439) @Min(0) @IsInt() from!: number;
  @Max(1439) @Min(0) @IsInt() until!: number;
}

/** How somebody wants to be told of questions. */
export class AlertsInput implements AlertSettings {
  @IsIn(ALERT_SCOPES) scope!: AlertScope;
  @IsIn([...ALERT_SOUNDS, null]) sound!: AlertSound | null;
  @IsBoolean() isNotified!: boolean;
  @IsBoolean() showsWords!: boolean;
  @IsIn([...ALERT_AGAIN_MINUTES, null]) againMinutes!: number | null;
  @ValidateIf(({ quietHours }: AlertsInput) => quietHours !== null)
  @ValidateNested()
  @IsObject()
  @Type(() => QuietHoursInput)
  quietHours!: QuietHoursInput | null;
}
