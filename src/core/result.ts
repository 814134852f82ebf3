/** Sentences by path of the field they belong to (`spans.2.to`); `''` for the whole. */
export type FieldErrors = Readonly<Record<string, string>>;

/** A person's mistake is a value, not an exception. */
export type Result<T, E = FieldErrors> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly errors: E };

/** A result that went well. */
export function ok<T>(value: T): { readonly ok: true; readonly value: T } {
  return { ok: true, value };
}

/** A result that did not, with what to say. */
export function fail<E>(errors: E): { readonly ok: false; readonly errors: E } {
  return { ok: false, errors };
}
