import type { FormPlace } from '../model/form';
import type { Replies } from '../model/form';
import type { WireWidget } from '../wire/design-file';
import type { WireField } from '../wire/form-file';
import type { ConversationFacts } from '../model/conversation';

export function fieldsOf({ forms }: Pick<WireWidget, 'forms'>, place: FormPlace): readonly WireField[] {
  return forms[place] ?? [];
}

/** The form before a chat is asked once, with the first words of a visitor's first conversation. */
export function asksBefore(widget: Pick<WireWidget, 'forms'>, hasConversation: boolean): boolean {
  return !hasConversation && fieldsOf(widget, 'before').length > 0;
}

/** The form after a chat is asked where somebody had joined, until it is given; one that goes on again asks again later. */
export function asksAfter(
  widget: Pick<WireWidget, 'forms'>,
  conversation: ConversationFacts | null,
): boolean {
  if (conversation === null || conversation.standing !== 'ended' || conversation.joinedMs === null)
    return false;
  return !conversation.isAfterGiven && fieldsOf(widget, 'after').length > 0;
}

/** The replies with hidden fields taken from what the page says of its visitor; what was typed for one counts as nothing. */
export function withHidden(
  fields: readonly WireField[],
  replies: Replies,
  attributes: Readonly<Record<string, string>>,
): Replies {
  const hidden = fields.filter(({ kind }) => kind === 'hidden');
  const given = hidden.map(({ id, attribute = '' }) => [
    id,
    Object.hasOwn(attributes, attribute) ? attributes[attribute] : undefined,
  ]);
  return { ...replies, ...(Object.fromEntries(given) as Replies) };
}

/** What is filled in already: replies of an earlier form, where the field is one to remember ([V7]). */
export function fromKept(fields: readonly WireField[], kept: Readonly<Record<string, string>>): Replies {
  return Object.fromEntries(
    fields
      .filter(({ id, isKept }) => isKept && Object.hasOwn(kept, id))
      .map(({ id }) => [id, kept[id] ?? '']),
  );
}

/** What of replies is to be remembered for next time: single texts of fields that say so. */
export function toKept(fields: readonly WireField[], replies: Replies): Record<string, string> {
  const kept = fields.filter(({ isKept }) => isKept).map(({ id }) => [id, replies[id]] as const);
  return Object.fromEntries(
    kept.filter((one): one is readonly [string, string] => typeof one[1] === 'string'),
  );
}

/**
 * What may stay empty after all: the words of a note where something was said before it, and e-mail addresses as long as no
 * letters go out, which could not be answered to.
 */
export function askedFields(
  fields: readonly WireField[],
  { hasSaid, sendsLetters }: { readonly hasSaid: boolean; readonly sendsLetters: boolean },
): readonly WireField[] {
  const words = hasSaid ? wordsField(fields) : undefined;
  const isFree = (field: WireField): boolean =>
    field === words || (field.kind === 'email' && field.isRequired && !sendsLetters);
  return fields.map((field) => (isFree(field) ? { ...field, isRequired: false } : field));
}

/** A note that says nothing at all is none; in one whose form is filled in, the words may stay empty. */
export function saysNothing(body: string, replies: Replies = {}): boolean {
  return body.trim() === '' && Object.keys(replies).length === 0;
}

/** The field that holds a note's own words: the first long text. */
export function wordsField(fields: readonly WireField[]): WireField | undefined {
  return fields.find(({ kind }) => kind === 'long');
}
