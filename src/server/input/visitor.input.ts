import { LIMITS } from '../../core/limits';
import { isMailShaped } from '../../core/forms/mail';
import { IsOptional, IsString, Matches, MaxLength, Validate, ValidatorConstraint, type ValidatorConstraintInterface } from './validators';

@ValidatorConstraint({ name: 'mailShaped' })
export class MailShaped implements ValidatorConstraintInterface {
  validate(value: unknown): boolean {
    return typeof value === 'string' && isMailShaped(value);
  }
  defaultMessage(): string {
    return 'Something is missing around the @.';
  }
}

/** A message as the visitor's browser sends it. */
export class MessageInput {
  @Matches(/^[\w-]{16,40}$/, { message: 'Give an id of 16 to 40 letters and digits.' }) @IsString() clientId!: string;
  @MaxLength(LIMITS.messageChars, { message: `Keep it under ${LIMITS.messageChars} characters.` })
  @Matches(/\S/, { message: 'Write a line or two first.' })
  @IsString({ message: 'Write a line or two first.' })
  body!: string;
  @MaxLength(LIMITS.pageAddressChars)
  @Matches(/^https?:\/\//i, { message: 'Name the page by its whole address.' })
  @IsString()
  page!: string;
  @MaxLength(80) @IsString() design!: string;
  @MaxLength(LIMITS.localeChars)
  @Matches(/^[A-Za-z0-9-]+$/, { message: 'Name the language by its tag, such as pt.' })
  @IsString()
  locale!: string;
  @MaxLength(80) @IsString() widget!: string;
  /** Made by the browser for its first message, so that a lost answer cannot make two visitors of one. */
  @Matches(/^[\w-]{43}$/, { message: 'A new token is 43 signs.' }) @IsString() @IsOptional() newToken?: string;
}

/** A note: the text may be empty where something was said before it. */
export class NoteInput extends MessageInput {
  @Matches(/^[^]*$/) @MaxLength(LIMITS.messageChars) @IsString() override body!: string;
  @Validate(MailShaped) mail!: string;
  @MaxLength(LIMITS.noteNameChars, { message: `Keep the name under ${LIMITS.noteNameChars} characters.` }) @IsString() name!: string;
}
