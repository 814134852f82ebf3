import { withinLevel } from '../../core/decide/remember';
import type { Moment } from '../../core/model/moment';
import type { PanelPort } from '../port';
import type { Session } from './session';

export interface WhereaboutsTeller {
  /** Tells what the visitor sees and where, if that has changed since it was told. */
  tell(moment: Moment): void;
  /** What was told is not known any more: the server may have been started anew. */
  forget(): void;
}

/** Says to the desk what a visitor who has written sees, and on which page, as far as that may be known ([V9]). */
export function whereaboutsTeller(
  { memory }: Pick<PanelPort, 'memory'>,
  session: Pick<Session, 'token' | 'conversation' | 'post'>,
): WhereaboutsTeller {
  let told = '';
  let isTelling = false;
  let latest: Moment;
  const forget = (): void => {
    told = '';
  };
  // One after the other: of two on their way at once, the earlier one might arrive last.
  const tell = (moment: Moment): void => {
    latest = moment;
    if (isTelling || session.token() === null || session.conversation() === null) return;
    const step = withinLevel(memory.read(), memory.level()).trail.at(-1);
    const next = JSON.stringify([moment, step?.[0]]);
    if (next === told) return;
    told = next;
    isTelling = true;
    const goOn = (isTold: boolean): void => {
      isTelling = false;
      if (!isTold) forget(); // told again with the next change
      if (isTold || latest !== moment) tell(latest);
    };
    session.post('here', { moment, step }).then(
      ({ ok }) => goOn(ok),
      () => goOn(false),
    );
  };
  return { forget, tell };
}
