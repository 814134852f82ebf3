import type { FieldKind } from '../model/form';

/**
 * A field of a form as a page has it, in one locale: words resolved, rules as the server checks them by too ([L10]).
 * Absent parts hold nothing. Files of the first program say `label` (a text's key) and `isRequired` only.
 */
export interface WireField {
  readonly id: string;
  readonly kind: FieldKind;
  /** A text of the catalogue, said by the window; its help is `<label>.help`. */
  readonly label?: string | null;
  /** The owner's own words. */
  readonly words?: string;
  readonly help?: string;
  readonly isRequired: boolean;
  readonly least?: number;
  readonly most?: number;
  readonly options?: readonly (readonly [value: string, words: string])[];
  readonly asButtons?: true;
  readonly shownIf?: readonly [field: string, is: string];
  readonly isKept?: true;
  readonly link?: string;
  readonly attribute?: string;
}
