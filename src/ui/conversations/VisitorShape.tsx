import type { MarkShape, VisitorMark } from '../../core/model/visitor-mark';

/** Outlines in a square of 16. */
const PATHS: Readonly<Record<MarkShape, string>> = {
  disc: 'M8 1.5a6.5 6.5 0 1 1 0 13 6.5 6.5 0 0 1 0-13z',
  ring: 'M8 1.5a6.5 6.5 0 1 1 0 13 6.5 6.5 0 0 1 0-13zm0 3.2a3.3 3.3 0 1 0 0 6.6 3.3 3.3 0 0 0 0-6.6z',
  square: 'M2.5 2.5h11v11h-11z',
  diamond: 'M8 .8 15.2 8 8 15.2.8 8z',
  triangle: 'M8 1.8 15 14H1z',
  plus: 'M5.8 1.5h4.4v4.3h4.3v4.4h-4.3v4.3H5.8v-4.3H1.5V5.8h4.3z',
  drop: 'M8 .8c3 4 4.8 6.3 4.8 9a4.8 4.8 0 0 1-9.6 0c0-2.7 1.8-5 4.8-9z',
  crescent: 'M10.5 1.8a6.5 6.5 0 1 0 3.7 9.3 5.6 5.6 0 0 1-3.7-9.3z',
};

interface VisitorShapeProps {
  readonly mark: VisitorMark;
  /** In CSS pixels at the usual size of text. */
  readonly size: number;
}

/** The shape of a visitor's mark. Its word stands beside it until a name is known. */
export function VisitorShape({ mark, size }: VisitorShapeProps) {
  return (
    <svg
      viewBox="0 0 16 16"
      aria-hidden
      data-shape={mark.shape}
      style={{ flex: 'none', width: `${size / 16}rem`, height: `${size / 16}rem` }}
    >
      <path d={PATHS[mark.shape]} fill="currentColor" fillRule="evenodd" />
    </svg>
  );
}
