import type { TextKey } from '../model/text-keys';
import type { ClosedBy } from '../hours/why';
import type { Signal } from '../invitations/judge';
import type { Moment, WidgetState } from '../model/moment';
import type { EpochMs } from '../model/units';
import type { Reason } from './reason';

/** What a visitor gets right now, and why. Plain data without any formatted text ([D1]). */
export interface Decision {
  /** Key of the widget that shows; null: none does. */
  readonly widget: string | null;
  readonly state: WidgetState;
  /** Whether what was heard about people still holds ([S6]). */
  readonly isStateKnown: boolean;
  /** Whether words inside an open window may tell of people: what was heard is fresh, or nobody is there ([S6]). */
  readonly isStateFresh: boolean;
  /** Why it is closed ([H15]); null: it is not. Cases ask for it ([T4]). */
  readonly closedBy: ClosedBy | null;
  readonly moment: Moment;
  /** [M8] A running conversation away from its pages: the launcher shows its unread count only. */
  readonly isCountOnly: boolean;
  readonly lines: readonly Line[];
  /** The invitation to show now, and the one to take away ([I3], [I8]). */
  readonly show: string | null;
  readonly withdraw: string | null;
  /** Somebody would be said to be there, or invite, on an old word: ask the pointer, then decide again ([S6], [I3]). */
  readonly wantsFresh: boolean;
  /** The next instant at which time alone may change the decision ([A1], [A2]). */
  readonly askAgainAt: EpochMs | null;
  readonly askAgainOn: readonly Signal[];
  /** What decided, at most one of each kind ([D2]). */
  readonly because: readonly Reason[];
}

/** Which text is said, and with which values; numbers are counts or instants, nothing is formatted ([D1]). */
export interface Line {
  /** `invitation:<id>` is the wording of that invitation. */
  readonly key: TextKey | `invitation:${string}`;
  readonly values: Readonly<Record<string, string | number>>;
}
