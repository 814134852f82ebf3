import { LAMP_OUTLINE, LAMP_PATHS, type LampSign } from '../../core/model/lamp';

/** The lamp of the application: somebody is there, and nothing else anywhere. Always beside its word. */
export function LampMark({ mark, size = 20 }: { mark: LampSign; size?: number }) {
  return (
    <svg
      viewBox="0 0 24 24"
      aria-hidden
      data-lamp={mark}
      style={{ flex: 'none', width: `${size / 16}rem`, height: `${size / 16}rem` }}
    >
      {LAMP_PATHS[mark][0] === '' ? null : <path d={LAMP_PATHS[mark][0]} fill="var(--porch-sun)" />}
      <path d={LAMP_OUTLINE} fill="none" stroke="currentColor" strokeWidth={1.5} strokeLinejoin="round" />
      {LAMP_PATHS[mark][1] === '' ? null : (
        <path
          d={LAMP_PATHS[mark][1]}
          fill="none"
          stroke="currentColor"
          strokeWidth={1.8}
          strokeLinecap="round"
        />
      )}
    </svg>
  );
}
