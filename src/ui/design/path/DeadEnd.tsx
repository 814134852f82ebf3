/** A crack across a moment card: a visitor who gets here does not get on. Decorative; the moment card says why. */
export function DeadEnd({ width, height }: { readonly width: number; readonly height: number }) {
  const x = (share: number): number => Math.round(width * share);
  const y = (share: number): number => Math.round(height * share);
  const d = `M${x(0.93)} 0L${x(0.89)} ${y(0.2)}L${x(0.94)} ${y(0.34)}L${x(0.87)} ${y(0.52)}L${x(0.92)} ${y(0.68)}L${x(0.86)} ${y(0.82)}L${x(0.9)} ${height}`;
  return (
    <svg
      aria-hidden
      width={width}
      height={height}
      style={{ position: 'absolute', inset: 0, pointerEvents: 'none' }}
    >
      <path d={d} fill="none" stroke="var(--porch-clay)" strokeWidth={1.5} strokeLinejoin="round" />
    </svg>
  );
}
