import type { TextKey } from '../model/text-keys';

/** Which text is said, and with which values; numbers are counts or instants, nothing is formatted ([D1]). */
export interface Line {
  /** `invitation:<id>` is the wording of that invitation. */
  readonly key: TextKey | `invitation:${string}`;
  readonly values: Readonly<Record<string, string | number>>;
}
