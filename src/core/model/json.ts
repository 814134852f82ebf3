export type Json = string | number | boolean | null | readonly Json[] | { readonly [name: string]: Json };

/** A place in a document: names of objects, indexes of lists. */
export type PatchPath = readonly (string | number)[];

/** One change of a document of plain data. */
export type Patch =
  | { readonly op: 'set'; readonly path: PatchPath; readonly value: Json }
  | { readonly op: 'remove'; readonly path: PatchPath };

/** Whether a value is an object with names, and no list. */
export function isRecord(value: unknown): value is Readonly<Record<string, unknown>> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** The same of plain data, whose parts are plain data again. */
export function isJsonObject(value: Json | undefined): value is { readonly [name: string]: Json } {
  return isRecord(value);
}
