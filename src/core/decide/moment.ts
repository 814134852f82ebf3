import type { Circumstances } from '../model/circumstances';
import type { Deed, Moment, WidgetState } from '../model/moment';
import type { Reason, ReasonCode } from './reason';

export interface MomentVerdict {
  readonly moment: Moment;
  readonly because: Reason;
}

/** Where a visitor stands ([M1]–[M5]), from the conversation's facts and the deed of the state. */
export function momentOf(circumstances: Circumstances, state: WidgetState, deed: Deed): MomentVerdict {
  const { conversation } = circumstances;
  if (!circumstances.isWindowOpen) return verdict('passing-by', 'window-closed', state);
  if (conversation === null) return byDeed(state, deed);
  switch (conversation.standing) {
    case 'joined':
      return verdict('talking', 'joined', state);
    case 'asked':
      return canBeAnswered(deed) ? verdict('waiting', 'asked', state) : verdict('nobody-home', 'nobody-left-to-answer', state);
    case 'note':
      return verdict('note-left', 'note-sent', state);
    case 'ended':
      return circumstances.asksAgain
        ? { ...byDeed(state, deed), because: reason('asks-again', state) }
        : verdict('goodbye', 'ended', state);
  }
}

function byDeed(state: WidgetState, deed: Deed): MomentVerdict {
  return verdict(deed === 'note' ? 'nobody-home' : 'at-the-door', 'deed-of-state', state);
}

/** [M5] Chat and queue lead to a person; the other deeds do not. */
function canBeAnswered(deed: Deed): boolean {
  return deed === 'chat' || deed === 'queue';
}

function verdict(moment: Moment, code: ReasonCode, state: WidgetState): MomentVerdict {
  return { moment, because: reason(code, state) };
}

function reason(code: ReasonCode, state: WidgetState): Reason {
  return { about: 'moment', code, facts: { state } };
}
