/** One text on its way to a translator and back. */
export interface TextUnit {
  /** Key of the catalogue, with its case. */
  readonly key: string;
  readonly source: string;
  /** Null: not translated yet. */
  readonly target: string | null;
  /** For the translator: where it is said, how long it may be. */
  readonly note: string;
}

export interface TextDocument {
  readonly sourceLocale: string;
  readonly targetLocale: string;
  readonly units: readonly TextUnit[];
}

/** What a file held that a text cannot: left out and told. */
export interface TextUnsaid {
  readonly what: 'plural' | 'inline-tag' | 'obsolete' | 'twice' | 'no-key';
  readonly about: string;
}

/** Why a file cannot be read, and at which line. */
export interface TextFileFault {
  readonly line: number;
  readonly reason:
    | 'not-xml'
    | 'not-xliff'
    | 'unknown-version'
    | 'not-po'
    | 'not-csv'
    | 'no-language'
    | 'too-large'
    | 'too-many';
}

/** Files larger than this, in UTF-16 code units, are none of ours. */
export const TEXT_FILE_UNITS_MAX = 8 * 1024 * 1024;
export const TEXT_UNITS_MAX = 20_000;
