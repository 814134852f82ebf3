import type { CaseKey } from '../model/text-keys';
import type { Locale } from './units';

/** What a field takes. */
export const FIELD_KINDS = [
  'short',
  'long',
  'email',
  'phone',
  'number',
  'date',
  'choice',
  'choices',
  'yes-no',
  'team',
  'consent',
  'hidden',
] as const;
export type FieldKind = (typeof FIELD_KINDS)[number];

export type Field = {
  readonly id: string;
  readonly kind: FieldKind;
  /** The catalogue's key of the label, whose help is `<label>.help` where there is one; null: `own` holds the words. */
  readonly label: CaseKey | null;
  readonly own: FieldWords | null;
  readonly isRequired: boolean;
  /** Signs of a text, size of a number, days since 1970 of a date; null: no bound of the owner's. */
  readonly least: number | null;
  readonly most: number | null;
  /** Of *choice* and *choices*, in order. */
  readonly options: readonly FieldOption[];
  /** How a *choice* looks. */
  readonly asButtons: boolean;
  /** Shown only if another field, which stands before it, has this reply. */
  readonly shownIf: { readonly field: string; readonly is: string } | null;
  /** Filled in again next time, at the level that keeps it ([V7]). */
  readonly isKept: boolean;
  /** Of *consent*: where what is agreed to can be read. */
  readonly link: string | null;
  /** Of *hidden*: the attribute it takes. */
  readonly attribute: string | null;
};

export type FieldWords = {
  readonly label: Readonly<Record<Locale, string>>;
  readonly help: Readonly<Record<Locale, string>>;
};

export type FieldOption = {
  readonly value: string;
  readonly label: Readonly<Record<Locale, string>>;
};

/** What was filled in, by field id: texts as typed, chosen values, `yes` for a tick. */
export type Replies = Readonly<Record<string, string | readonly string[]>>;

/** Where a form stands: before a chat, as the note, after a chat. */
export const FORMS = ['before', 'note', 'after'] as const;

export type FormPlace = (typeof FORMS)[number];
