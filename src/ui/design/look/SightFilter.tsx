import type { ReactNode } from 'react';
import { type Sight, matrixOf } from '../../../core/look/deficiency';

/** What is inside as somebody sees it who sees fewer colours; null: as it is. */
export function SightFilter({
  sight,
  children,
}: {
  readonly sight: Sight | null;
  readonly children: ReactNode;
}) {
  return (
    <div
      style={{ position: 'absolute', inset: 0, filter: sight === null ? undefined : `url(#sight-${sight})` }}
    >
      {sight === null ? null : (
        <svg width="0" height="0" aria-hidden style={{ position: 'absolute' }}>
          <filter id={`sight-${sight}`} colorInterpolationFilters="sRGB">
            <feColorMatrix type="matrix" values={matrixOf(sight)} />
          </filter>
        </svg>
      )}
      {children}
    </div>
  );
}
