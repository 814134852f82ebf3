import type { WidgetState } from './moment';

/** [T4] What a case may ask. An unknown kind holds never ([D4]). */
export type CaseCondition =
  | readonly ['state', ...states: WidgetState[]]
  | readonly ['visit', 'first' | 'returning']
  | readonly ['team', string]
  | readonly ['language', string]
  | readonly ['closed-by', string];
