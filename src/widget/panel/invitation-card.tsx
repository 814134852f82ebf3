/** @jsxImportSource preact */
import type { Heard } from '../../core/words/hearer';
import type { Voice } from '../voice';
import type { WindowActs } from './window';

interface InvitationCardProps {
  readonly heard: Heard;
  readonly voice: Voice;
  readonly acts: Pick<WindowActs, 'accept' | 'decline'>;
}

/** An invitation beside the launcher. It is said once to a screen reader, and never takes the focus ([I10]). */
export function InvitationCard({ heard, voice, acts }: InvitationCardProps) {
  const id = heard.circumstances.invited?.id ?? '';
  const key = `invitation:${id}` as const;
  return (
    <section
      class="invitation"
      aria-label={voice('window.title')}
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return;
        event.stopPropagation();
        acts.decline();
      }}
    >
      <p class="invitation-words" role="status" data-say={key}>
        {voice(key)}
      </p>
      <div class="row">
        <button type="button" class="button send" data-say="invitation.yes" onClick={acts.accept}>
          {voice('invitation.yes')}
        </button>
        <button type="button" class="button quiet" data-say="invitation.no" onClick={acts.decline}>
          {voice('invitation.no')}
        </button>
      </div>
    </section>
  );
}
