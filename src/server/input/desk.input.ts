import { BAR_PX_MAX } from '../../core/look/collisions';
import type { Bars } from '../../core/model/page-bars';
import type { PatchPath } from '../../core/model/json';
import type { Json } from '../../core/model/json';
import { isMailShaped } from '../../core/forms/mail';
import { LIMITS } from '../../core/limits';
import { CleanText } from './clean';
import { ID } from './shared.input';
import {
  Allow,
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsOptional,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
  Type,
  Validate,
  ValidateIf,
  ValidateNested,
  ValidatorConstraint,
  type ValidatorConstraintInterface,
} from './validators';

@ValidatorConstraint({ name: 'path' })
class PathFits implements ValidatorConstraintInterface {
  validate(value: unknown): boolean {
    return (
      Array.isArray(value) &&
      value.length > 0 &&
      value.length <= LIMITS.designDepth &&
      value.every(
        (name) => (typeof name === 'string' && name.length <= 80) || (Number.isInteger(name) && name >= 0),
      )
    );
  }
  defaultMessage(): string {
    return 'A place in the design is a list of names and numbers.';
  }
}

class PatchInput {
  @IsIn(['set', 'remove']) op!: 'set' | 'remove';
  @Validate(PathFits) path!: PatchPath & (string | number)[];
  /** Judged with the whole design it ends up in. */
  @Allow() value?: Json;
}

/** A change of the draft; `clientId` makes sending it twice harmless. */
export class ChangeInput {
  @Matches(/^[\w-]{16,40}$/) @IsString() clientId!: string;
  @Min(0) @IsInt() base!: number;
  @ValidateNested({ each: true })
  @Type(() => PatchInput)
  @ArrayMinSize(1)
  @ArrayMaxSize(LIMITS.patchesPerChange)
  @IsArray()
  patches!: PatchInput[];
  @MaxLength(120) @IsString() label!: string;
  @Matches(/^[\w-]{16,40}$/) @IsString() @IsOptional() editId?: string | null;
}

/** Whether a conversation ends a little later, so that it can be undone. */
export class EndInput {
  @IsBoolean() @IsOptional() isSoon?: boolean;
}

/** A page of the site's own that is to be looked at. */
export class PageSourceInput {
  @MaxLength(LIMITS.pageAddressChars)
  @Matches(/^https?:\/\//i, { message: 'Name the page by its whole address.' })
  @IsString()
  address!: string;
}

/** A finding by its key, and why it may stay as it is. */
@ValidatorConstraint({ name: 'mails' })
class MailsFit implements ValidatorConstraintInterface {
  validate(value: unknown): boolean {
    return (
      Array.isArray(value) &&
      value.length <= LIMITS.recipients &&
      new Set(value).size === value.length &&
      value.every((one) => typeof one === 'string' && isMailShaped(one))
    );
  }
  defaultMessage(): string {
    return `At most ${LIMITS.recipients} e-mail addresses, each once.`;
  }
}

/** Who gets the notes of a team by mail. */
export class RecipientsInput {
  @Matches(ID) @IsString() teamId!: string;
  @Validate(MailsFit) mails!: string[];
}

export class DismissInput {
  @MaxLength(LIMITS.findingKeyChars) @MinLength(1) @IsString() key!: string;
  @MaxLength(LIMITS.remarkChars)
  @Matches(/\S/, { message: 'Say why: somebody will wonder later.' })
  @IsString()
  reason!: string;
}

export class FindingKeyInput {
  @MaxLength(LIMITS.findingKeyChars) @MinLength(1) @IsString() key!: string;
}

export class StepInput {
  @Matches(/^[\w-]{16,40}$/) @IsString() clientId!: string;
  @IsIn(['undo', 'redo']) kind!: 'undo' | 'redo';
}

class RemarkedInput {
  @MaxLength(LIMITS.remarkChars, { message: `Keep the remark under ${LIMITS.remarkChars} characters.` })
  @IsString()
  remark!: string;
}

/** What the clock of the site reads. */
const WALL = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/;

export class PublishInput extends RemarkedInput {
  /** What the person looked at; another revision is not published unseen. */
  @Min(0) @IsInt() revision!: number;
  /** By the site's clock; null: at once. */
  @Matches(WALL, { message: 'This is no date and time.' })
  @IsString()
  @ValidateIf(({ from }: PublishInput) => from !== null)
  from!: string | null;
  /** Null: for good. */
  @Matches(WALL, { message: 'This is no date and time.' })
  @IsString()
  @ValidateIf(({ until }: PublishInput) => until !== null)
  until!: string | null;
  /** Once it is set for a period, the draft is taken back to how it is outside of it. */
  @IsBoolean() takesBack!: boolean;
}

/** A design as a file; judged when it is read. */
export class DesignFileInput {
  @MaxLength(LIMITS.designFileChars, { message: 'This is more than a design can hold.' })
  @IsString()
  text!: string;
}

export class BringBackInput extends RemarkedInput {}

export class PauseInput {
  @IsBoolean() isPaused!: boolean;
}

export class ReplyInput {
  @Matches(/^[\w-]{16,40}$/) @IsString() clientId!: string;
  @MaxLength(LIMITS.messageChars, { message: `Keep it under ${LIMITS.messageChars} characters.` })
  @Matches(/\S/, { message: 'Write something first.' })
  @IsString({ message: 'Write something first.' })
  @CleanText
  body!: string;
}

export class PresenceChoiceInput {
  @IsIn(['in', 'out']) choice!: 'in' | 'out';
}

export class NothingInput {
  @IsOptional() @IsString() nothing?: string;
}

/** Bars of the owner's page, in px of a page at its own size. */
export class PageBarsInput implements Bars {
  @Max(BAR_PX_MAX, { message: `A bar is at most ${BAR_PX_MAX} px high.` }) @Min(0) @IsInt() upper!: number;
  @Max(BAR_PX_MAX, { message: `A bar is at most ${BAR_PX_MAX} px high.` }) @Min(0) @IsInt() lower!: number;
}
