import { memo } from 'react';

/** The scalloped edge in two tones of the site's colour: the lower edge of the top bar, which covers nothing below it. */
export const SiteEdge = memo(function SiteEdge({ brand }: { brand: string }) {
  return (
    <svg aria-hidden width="100%" height="6" style={{ display: 'block', flex: 'none' }}>
      <defs>
        <pattern id="site-edge" width="48" height="6" patternUnits="userSpaceOnUse">
          <path d="M0 0h24v2a12 4 0 0 1-24 0z" fill={brand} />
          <path d="M24 0h24v2a12 4 0 0 1-24 0z" fill={`color-mix(in oklab, ${brand} 40%, white)`} />
        </pattern>
      </defs>
      <rect width="100%" height="6" fill="url(#site-edge)" />
    </svg>
  );
});
