export type Json = string | number | boolean | null | readonly Json[] | { readonly [name: string]: Json };

/** A place in a document: names of objects, indexes of lists. */
export type PatchPath = readonly (string | number)[];

/** One change of a document of plain data. */
export type Patch =
  | { readonly op: 'set'; readonly path: PatchPath; readonly value: Json }
  | { readonly op: 'remove'; readonly path: PatchPath };
