/** Everything that can stand between a visitor and the owner, in the order a visit goes through it. */
export const MOMENTS = [
  'passing-by',
  'invited',
  'at-the-door',
  'waiting',
  'talking',
  'slow-reply',
  'goodbye',
  'nobody-home',
  'note-left',
] as const;
export type Moment = (typeof MOMENTS)[number];

/** What the server says of a team's people ([S1]). */
export const TEAM_STATES = ['in', 'nearby', 'busy', 'nobody'] as const;
export type TeamState = (typeof TEAM_STATES)[number];

/** State of a widget ([S3]): its team's, or closed by its hours. */
export const WIDGET_STATES = ['in', 'nearby', 'busy', 'nobody', 'closed'] as const;
export type WidgetState = (typeof WIDGET_STATES)[number];

/** What a widget does in a state ([S5]). */
export const BEHAVIOURS = ['chat', 'queue', 'note', 'answers', 'out-of-sight'] as const;
export type Behaviour = (typeof BEHAVIOURS)[number];

/** The moments of this path, in the order a visit goes through them. */
export const DRAWN_MOMENTS = [
  'passing-by',
  'invited',
  'at-the-door',
  'waiting',
  'talking',
  'goodbye',
  'nobody-home',
  'slow-reply',
  'note-left',
] as const satisfies readonly Moment[];

export type DrawnMoment = (typeof DRAWN_MOMENTS)[number];
