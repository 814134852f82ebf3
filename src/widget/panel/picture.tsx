/** @jsxImportSource preact */
import { Component } from 'preact';
import type { WirePicture } from '../../core/wire/design-file';

interface PictureProps {
  readonly class: string;
  readonly base: string;
  readonly picture: WirePicture;
  readonly initials?: string;
}

/** A picture of the owner's; one that cannot be had is its initials, or nothing. */
export class Picture extends Component<PictureProps> {
  override readonly state = { broken: '' };

  override render({ class: name, base, picture: [once, twice, width, height], initials }: PictureProps) {
    if (this.state.broken === once)
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
        onError={() => this.setState({ broken: once })}
      />
    );
  }
}
