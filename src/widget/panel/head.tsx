/** @jsxImportSource preact */
import { LAMP_OUTLINE, LAMP_PATHS, type LampSign, lampOf } from '../../core/model/lamp';
import type { PaintedText } from '../../core/decide/reader';
import { initialsOf } from '../../core/words/initials';
import { Picture } from './picture';
import type { TextKey } from '../../core/model/text-keys';
import type { FormatText } from '../format-text';

/** What may stand below the title, the more telling first. */
const STATUS = [
  'status.until',
  'status',
  'waiting.status',
  'talking.status',
  'goodbye.status',
  'noteLeft.status',
] as const satisfies readonly TextKey[];

interface HeadProps {
  readonly painted: PaintedText;
  readonly formatText: FormatText;
  readonly base: string;
  readonly onClose: () => void;
}

/** Whom one talks to, how things stand, and the way out. */
export function Head({ painted, formatText, base, onClose }: HeadProps) {
  const { decision, widget } = painted;
  const { logo, headerPicture } = widget;
  const key = STATUS.find((one) => decision.lines.some((line) => line.key === one));
  return (
    <div class="head">
      {headerPicture === undefined ? null : (
        <Picture class="head-picture" base={base} picture={headerPicture} />
      )}
      {logo === undefined ? null : (
        <Picture
          class="logo"
          base={base}
          picture={logo}
          initials={initialsOf(painted.site.design.siteName)}
        />
      )}
      <div class="head-words">
        <h2 class="title" data-say="window.title">
          {formatText('window.title')}
        </h2>
        <div class="state">
          {decision.isStateFresh ? <Lamp mark={lampOf(decision.state, decision.isStateKnown)} /> : null}
          <span data-say={key} role="status">
            {key && formatText(key)}
          </span>
        </div>
      </div>
      <button type="button" class="button close" aria-label={formatText('window.close')} onClick={onClose}>
        <svg viewBox="0 0 24 24" aria-hidden="true">
          <path d="M6 6l12 12M18 6L6 18" />
        </svg>
      </button>
    </div>
  );
}

function Lamp({ mark }: { mark: LampSign }) {
  return (
    <svg viewBox="0 0 24 24" aria-hidden="true" data-lamp={mark}>
      <path class="lamp-light" d={LAMP_PATHS[mark][0]} />
      <path class="lamp-line" d={LAMP_OUTLINE + LAMP_PATHS[mark][1]} />
    </svg>
  );
}
