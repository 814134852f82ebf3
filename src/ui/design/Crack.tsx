/** A crack across a stone: a visitor who gets here does not get on. Decorative; the stone says why. */
export function Crack({ width, height }: { readonly width: number; readonly height: number }) {
  const x = (share: number): number => Math.round(width * share);
  const y = (share: number): number => Math.round(height * share);
  const d = `M${x(0.62)} 0L${x(0.56)} ${y(0.2)}L${x(0.66)} ${y(0.34)}L${x(0.54)} ${y(0.52)}L${x(0.63)} ${y(0.68)}L${x(0.52)} ${y(0.82)}L${x(0.57)} ${height}`;
  return (
    <svg aria-hidden width={width} height={height} style={{ position: 'absolute', inset: 0, pointerEvents: 'none' }}>
      <path d={d} fill="none" stroke="var(--porch-board)" strokeWidth={4} />
      <path d={d} fill="none" stroke="var(--porch-clay)" strokeWidth={1.5} strokeLinejoin="round" />
    </svg>
  );
}
