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
  const forget = (): void => {
    told = '';
  };
  return {
    forget,
    tell: (moment) => {
      if (session.token() === null || session.conversation() === null) return;
      const step = withinLevel(memory.read(), memory.level()).trail.at(-1);
      const next = JSON.stringify([moment, step?.[0]]);
      if (next === told) return;
      told = next;
      session.post('here', { moment, step }).then(({ ok }) => ok || forget(), forget); // told again with the next change
    },
  };
}
