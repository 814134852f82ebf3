// What we use of gettext-parser 10, which brings no types.
declare module 'gettext-parser' {
  interface Entry {
    msgid: string;
    msgctxt?: string;
    msgid_plural?: string;
    msgstr: string[];
    comments?: { extracted?: string; flag?: string };
  }
  interface Catalogue {
    charset: string;
    /** Absent where the file begins without any. */
    headers?: Record<string, string>;
    translations: Record<string, Record<string, Entry>>;
  }
  export const po: {
    parse(text: string): Catalogue;
    compile(catalogue: Catalogue, options?: { foldLength?: number; sort?: boolean }): Uint8Array;
  };
}
