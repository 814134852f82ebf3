/** @jsxImportSource preact */
import type { PaintedText } from '../../core/decide/reader';
import type { FormatText } from '../format-text';
import type { WindowActions } from './window';

interface InvitationCardProps {
  readonly painted: PaintedText;
  readonly formatText: FormatText;
  readonly acts: Pick<WindowActions, 'accept' | 'decline'>;
}

/** An invitation beside the launcher. It is said once to a screen reader, and never takes the focus ([I10]). */
export function InvitationCard({ painted, formatText, acts }: InvitationCardProps) {
  const id = painted.circumstances.invited?.id ?? '';
  const key = `invitation:${id}` as const;
  return (
    <section
      class="invitation"
      aria-label={formatText('window.title')}
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return;
        event.stopPropagation();
        acts.decline();
      }}
    >
      <p class="invitation-words" role="status" data-say={key}>
        {formatText(key)}
      </p>
      <div class="row">
        <button type="button" class="button send" data-say="invitation.yes" onClick={acts.accept}>
          {formatText('invitation.yes')}
        </button>
        <button type="button" class="button quiet" data-say="invitation.no" onClick={acts.decline}>
          {formatText('invitation.no')}
        </button>
      </div>
    </section>
  );
}
