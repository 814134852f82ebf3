import { LIMITS } from '../../core/limits';
import { ROLES, type Role } from '../../core/model/role';
import { CleanLine } from './clean';
import { ID, LOCALE } from './shared.input';
import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsIn,
  IsString,
  Matches,
  MaxLength,
  MinLength,
  Validate,
} from './validators';
import { MailShaped } from './visitor.input';
import { PersonNameInput, trimmed } from './account.input';

export class RoleInput {
  @IsIn(ROLES) role!: Role;
}

/** In which teams somebody answers. */
export class TeamIdsInput {
  @Matches(ID, { each: true })
  @ArrayUnique()
  @ArrayMaxSize(LIMITS.teams)
  @IsArray()
  teamIds!: string[];
}

/** A public name of a team, in a language of the widget. */
export class TeamNameInput {
  @MaxLength(LIMITS.localeChars) @Matches(LOCALE) @IsString() locale!: string;
  @MaxLength(LIMITS.teamNameChars, { message: `Use at most ${LIMITS.teamNameChars} characters.` })
  @IsString()
  @CleanLine
  name!: string;
}

/** What a colleague may do who comes by a link. */
export class JoinLinkInput extends TeamIdsInput {
  @IsIn(ROLES) role!: Role;
}

/** An account for whoever joins by a link. */
export class JoinInput extends PersonNameInput {
  @Validate(MailShaped) @trimmed mail!: string;
  @MaxLength(LIMITS.passwordCharsMax, { message: `Keep it under ${LIMITS.passwordCharsMax} characters.` })
  @MinLength(LIMITS.passwordCharsMin, { message: `Use ${LIMITS.passwordCharsMin} characters or more.` })
  @IsString()
  password!: string;
}
