/** The sign of the house: a roof, its scalloped awning, two posts and a step. Not a lamp: that one means that somebody is there. */
export function PorchMark({ size = 20 }: { size?: number }) {
  return (
    <svg viewBox="0 0 24 24" width={size} height={size} aria-hidden style={{ flex: 'none' }}>
      <path
        d="M12 2.5 21.5 8v2.2a2.4 2.4 0 0 1-4.75 0 2.4 2.4 0 0 1-4.75 0 2.4 2.4 0 0 1-4.75 0 2.4 2.4 0 0 1-4.75 0V8z"
        fill="currentColor"
      />
      <path
        d="M5.2 13v6M18.8 13v6M3 20.5h18"
        fill="none"
        stroke="currentColor"
        strokeWidth={1.8}
        strokeLinecap="round"
      />
    </svg>
  );
}
