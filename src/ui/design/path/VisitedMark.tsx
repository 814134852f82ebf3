/** Two small soles: where this visitor gets by themselves. Decorative; the moment card's name says it too. */
export function VisitedMark({ size = 14 }: { readonly size?: number }) {
  return (
    <svg aria-hidden viewBox="0 0 20 20" width={size} height={size} style={{ flex: 'none' }}>
      <path
        d="M5.2 2.2c2 0 3 1.8 2.9 4-.1 1.7-.9 2.5-.9 3.9H4.3c0-1.5-1.2-2.5-1.3-4.3-.1-2 .6-3.6 2.2-3.6zM4.4 11.3h2.7v1.3c0 1-.5 1.6-1.3 1.6s-1.4-.6-1.4-1.6z"
        fill="var(--porch-ink)"
      />
      <path
        d="M14.6 6c1.6 0 2.4 1.6 2.3 3.6-.1 1.8-1.3 2.8-1.3 4.3h-2.9c0-1.4-.8-2.2-.9-3.9-.1-2.2.8-4 2.8-4zM12.8 15.1h2.7v1.3c0 1-.5 1.6-1.3 1.6s-1.4-.6-1.4-1.6z"
        fill="var(--porch-ink)"
      />
    </svg>
  );
}
