interface TransitionLineProps {
  readonly d: string;
  /** This visitor goes along it by themselves. */
  readonly isWalked: boolean;
  readonly isIdle: boolean;
  /** It waits for what nobody can foretell. */
  readonly isUncertain?: boolean;
  readonly isChosen?: boolean;
}

/** What lines are drawn in: at rest, where this visitor walks, and chosen. */
const INKS = { rest: 'var(--porch-edge)', walked: 'var(--porch-ink)', chosen: 'var(--porch-door)' } as const;
type Ink = keyof typeof INKS;

/** One way as a line with its head: thick where this visitor walks it, thin where nobody knows when, dotted where nothing goes. */
export function TransitionLine({
  d,
  isWalked,
  isIdle,
  isUncertain = false,
  isChosen = false,
}: TransitionLineProps) {
  const ink: Ink = isChosen ? 'chosen' : isWalked ? 'walked' : 'rest';
  return (
    <path
      d={d}
      fill="none"
      stroke={INKS[ink]}
      strokeWidth={isWalked || isChosen ? 3 : isIdle || isUncertain ? 1 : 1.5}
      strokeDasharray={isIdle ? '2 4' : undefined}
      markerEnd={`url(#head-${ink})`}
    />
  );
}

/** The heads of the lines; once in each drawing. */
export function LineHeads() {
  return (
    <defs>
      {Object.entries(INKS).map(([ink, colour]) => (
        <marker
          key={ink}
          id={`head-${ink}`}
          viewBox="0 0 8 8"
          refX="7"
          refY="4"
          markerWidth="8"
          markerHeight="8"
          markerUnits="userSpaceOnUse"
          orient="auto"
        >
          <path d="M1 1l6 3-6 3" fill="none" stroke={colour} strokeWidth="1.5" strokeLinejoin="round" />
        </marker>
      ))}
    </defs>
  );
}
