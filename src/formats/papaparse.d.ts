// The parts of papaparse that are used here; the package brings no types.
declare module 'papaparse' {
  interface ParseError {
    readonly code: string;
    readonly message: string;
    readonly row?: number;
  }
  interface ParseResult {
    readonly data: string[][];
    readonly errors: readonly ParseError[];
    readonly meta: { readonly delimiter: string; readonly aborted: boolean };
  }
  interface ParseConfig {
    readonly delimiter?: string;
    readonly newline?: string;
    readonly skipEmptyLines?: boolean | 'greedy';
    readonly preview?: number;
    readonly delimitersToGuess?: readonly string[];
  }
  const Papa: {
    parse(text: string, config?: ParseConfig): ParseResult;
    unparse(
      rows: readonly (readonly string[])[],
      config?: { readonly newline?: string; readonly quotes?: boolean },
    ): string;
  };
  export default Papa;
}
