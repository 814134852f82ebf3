import { MOMENTS, type Moment } from '../../core/model/moment';
import { TRAIL_MAX } from '../../core/model/memory';
import { LIMITS } from '../../core/limits';
import type { Replies } from '../../core/model/form';
import { isMailShaped } from '../../core/forms/mail';
import { CleanLine, CleanText } from './clean';
import {
  IsBoolean,
  IsIn,
  IsOptional,
  IsString,
  Matches,
  MaxLength,
  Validate,
  ValidatorConstraint,
  type ValidatorConstraintInterface,
} from './validators';

@ValidatorConstraint({ name: 'mailShaped' })
export class MailShaped implements ValidatorConstraintInterface {
  validate(value: unknown): boolean {
    return typeof value === 'string' && isMailShaped(value);
  }
  defaultMessage(): string {
    return 'Something is missing around the @.';
  }
}

/** A note whose form asks for no address has none. */
@ValidatorConstraint({ name: 'mailOrNone' })
export class MailOrNone extends MailShaped {
  override validate(value: unknown): boolean {
    return value === '' || super.validate(value);
  }
}

/** Replies by field: texts, or lists of them; what they mean is judged by the form itself ([L10]). */
@ValidatorConstraint({ name: 'replies' })
export class RepliesFit implements ValidatorConstraintInterface {
  validate(value: unknown): boolean {
    if (typeof value !== 'object' || value === null || Array.isArray(value)) return false;
    const isText = (one: unknown): boolean => typeof one === 'string' && one.length <= LIMITS.messageChars;
    const replies = Object.values(value);
    return (
      replies.length <= LIMITS.fields &&
      replies.every(
        (one) =>
          isText(one) || (Array.isArray(one) && one.length <= LIMITS.fieldOptions && one.every(isText)),
      )
    );
  }
  defaultMessage(): string {
    return 'The replies to the form could not be read.';
  }
}

/** [V9] Pages on the way, oldest first: addresses with instants. */
@ValidatorConstraint({ name: 'trail' })
export class TrailFits implements ValidatorConstraintInterface {
  validate(value: unknown): boolean {
    if (!Array.isArray(value) || value.length > TRAIL_MAX) return false;
    return value.every((step: unknown) => {
      if (!Array.isArray(step) || step.length !== 2) return false;
      const [address, at] = step as unknown[];
      return (
        typeof address === 'string' &&
        address.length <= LIMITS.pageAddressChars &&
        Number.isSafeInteger(at) &&
        Number(at) >= 0
      );
    });
  }
  defaultMessage(): string {
    return 'The pages on the way could not be read.';
  }
}

/** A message as the visitor's browser sends it. */
export class MessageInput {
  @Matches(/^[\w-]{16,40}$/, { message: 'Give an id of 16 to 40 letters and digits.' })
  @IsString()
  clientId!: string;
  @MaxLength(LIMITS.messageChars, { message: `Keep it under ${LIMITS.messageChars} characters.` })
  @Matches(/\S/, { message: 'Write a line or two first.' })
  @IsString({ message: 'Write a line or two first.' })
  @CleanText
  body!: string;
  @MaxLength(LIMITS.pageAddressChars)
  @Matches(/^https?:\/\//i, { message: 'Name the page by its whole address.' })
  @IsString()
  @CleanLine
  page!: string;
  @MaxLength(80) @IsString() design!: string;
  @MaxLength(LIMITS.localeChars)
  @Matches(/^[A-Za-z0-9-]+$/, { message: 'Name the language by its tag, such as pt.' })
  @IsString()
  locale!: string;
  @MaxLength(80) @IsString() widget!: string;
  /** The team that is asked for, by its id; one that does not answer there is none. */
  @MaxLength(40) @IsString() @IsOptional() asks?: string;
  /** Something else is asked: it begins another conversation, however soon after the last one ([M4]). */
  @IsBoolean() @IsOptional() anew?: boolean;
  /** Of a private view: what is said under it is a try ([threat 18]). */
  @Matches(/^[\w-]{43}$/, { message: 'The pass of a private view is 43 signs.' })
  @IsString()
  @IsOptional()
  pass?: string;
  /** Made by the browser for its first message, so that a lost answer cannot make two visitors of one. */
  @Matches(/^[\w-]{43}$/, { message: 'A new token is 43 signs.' })
  @IsString()
  @IsOptional()
  newToken?: string;
  @Validate(RepliesFit) @IsOptional() @CleanText replies?: Replies;
  @Validate(TrailFits) @IsOptional() @CleanLine trail?: readonly (readonly [address: string, at: number])[];
}

/** [V9] One page on the way. */
@ValidatorConstraint({ name: 'step' })
export class StepFits extends TrailFits {
  override validate(value: unknown): boolean {
    return super.validate([value]);
  }
}

/** What a visitor's page shows, and where it is. */
export class HereInput {
  @IsIn(MOMENTS) moment!: Moment;
  @Validate(StepFits) @IsOptional() @CleanLine step?: readonly [address: string, at: number];
}

/** The form after a chat. */
export class AfterInput {
  @Matches(/^[\w-]{16,40}$/, { message: 'Give an id of 16 to 40 letters and digits.' })
  @IsString()
  clientId!: string;
  @MaxLength(80) @IsString() design!: string;
  @MaxLength(LIMITS.localeChars)
  @Matches(/^[A-Za-z0-9-]+$/, { message: 'Name the language by its tag, such as pt.' })
  @IsString()
  locale!: string;
  @MaxLength(80) @IsString() widget!: string;
  @Validate(RepliesFit) @CleanText replies!: Replies;
}

/** A note: the text may be empty where something was said before it. */
export class NoteInput extends MessageInput {
  @Matches(/^[^]*$/) @MaxLength(LIMITS.messageChars) @IsString() @CleanText override body!: string;
  @Validate(MailOrNone) mail!: string;
  @MaxLength(LIMITS.noteNameChars, { message: `Keep the name under ${LIMITS.noteNameChars} characters.` })
  @IsString()
  @CleanLine
  name!: string;
}
