/** @jsxImportSource preact */
import { useState } from 'preact/hooks';
import type { WirePicture } from '../../core/wire/design-file';

interface PictureProps {
  readonly class: string;
  readonly base: string;
  readonly picture: WirePicture;
  readonly initials?: string;
}

/** A picture of the owner's; one that cannot be had is its initials, or nothing. */
export function Picture({
  class: name,
  base,
  picture: [once, twice, width, height],
  initials,
}: PictureProps) {
  const [broken, setBroken] = useState('');
  if (broken === once)
    return initials === undefined ? null : (
      <span class="face" aria-hidden="true">
        {initials}
      </span>
    );
  return (
    <img
      class={name}
      alt=""
      width={width}
      height={height}
      srcset={`${base}/${twice}.webp 2x`}
      src={`${base}/${once}.webp`}
      onError={() => setBroken(once)}
    />
  );
}
