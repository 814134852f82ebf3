interface TransitionLineProps {
  readonly d: string;
  /** This visitor goes along it by themselves. */
  readonly isWalked: boolean;
  readonly isIdle: boolean;
  /** It waits for what nobody can foretell. */
  readonly isUncertain?: boolean;
  readonly isChosen?: boolean;
}

/** One way as a line: thick where this visitor walks it, thin where nobody knows when, dotted where nothing goes. */
export function TransitionLine({
  d,
  isWalked,
  isIdle,
  isUncertain = false,
  isChosen = false,
}: TransitionLineProps) {
  return (
    <path
      d={d}
      fill="none"
      stroke={isChosen ? 'var(--porch-door)' : isWalked ? 'var(--porch-ink)' : 'var(--porch-edge)'}
      strokeWidth={isWalked || isChosen ? 3 : isIdle || isUncertain ? 1 : 1.5}
      strokeDasharray={isIdle ? '2 4' : undefined}
    />
  );
}
