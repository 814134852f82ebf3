import { memo } from 'react';

/** The scalloped edge in two tones of the site's colour; it hangs from the top bar over the stage and nowhere else. */
export const StageEdge = memo(function StageEdge({ brand }: { brand: string }) {
  return (
    <svg
      aria-hidden
      width="100%"
      height="14"
      style={{
        position: 'absolute',
        insetInline: 0,
        top: 0,
        zIndex: 3,
        display: 'block',
        pointerEvents: 'none',
      }}
    >
      <defs>
        <pattern id="stage-edge" width="48" height="14" patternUnits="userSpaceOnUse">
          <path d="M0 0h24v4a12 10 0 0 1-24 0z" fill={brand} />
          <path d="M24 0h24v4a12 10 0 0 1-24 0z" fill={`color-mix(in oklab, ${brand} 40%, white)`} />
        </pattern>
      </defs>
      <rect width="100%" height="14" fill="url(#stage-edge)" />
    </svg>
  );
});
