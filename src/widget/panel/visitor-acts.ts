import { remember } from '../../core/decide/remember';
import { asksBefore, fieldsOf, toKept, wordsField } from '../../core/forms/fill';
import { type ConversationFacts, RESUMES_WITHIN_MS, isUnsettled } from '../../core/model/conversation';
import type { FormPlace, Replies } from '../../core/model/form';
import type { EpochMs } from '../../core/model/units';
import type { PanelPicture, PanelPort } from '../port';
import type { FormStore } from './form-state';
import { toNote } from './note-form';
import type { Talk } from './talk';
import type { WindowActions } from './window';

/** What the window has in hand, besides what was decided and what was said. */
export interface PanelState {
  picture: PanelPicture | null;
  /** What was asked for last; painted once the window's own file is there. */
  wanted: PanelPicture | null;
  wantsFocus: boolean;
  /** What a link asked for, before there was a picture to read it by. */
  openRequest: string | null;
  draft: string;
  /** *I will wait*: the offer of mail is not made again in this page. */
  isPatient: boolean;
  /** The form after the chat could not be sent just now. */
  hasFailed: boolean;
}

export interface ActingPort {
  readonly port: PanelPort;
  readonly state: PanelState;
  readonly forms: FormStore;
  readonly talk: Talk;
  paint(): void;
  focus(): void;
}

/** The first control of a form that does not fit; of a group, its first choice. */
const FAULTY = '.field :is(input, select, textarea)[aria-invalid=true], fieldset[aria-invalid=true] input';

/** What a visitor does in the window: each act changes state or talk, and paints. */
export function visitorActs(acting: ActingPort): WindowActions {
  const { port, state, forms, talk, paint, focus } = acting;
  /** What was taken back by the server is let go of, and the field begins anew. */
  const setDraft = (text: string): void => {
    state.draft = text;
    talk.takeBackRefused();
  };
  return {
    write: (text) => {
      setDraft(text);
      paint();
    },
    reply: (place, id, reply) => {
      if (state.picture !== null) forms.reply(place, state.picture, id, reply);
      paint();
    },
    send: (body) => {
      const { conversation, outbox } = talk.picture();
      const { picture } = state;
      const hasSaid = isUnsettled(conversation) || outbox.length > 0;
      const asks = picture !== null && asksBefore(picture.widget, hasSaid);
      const isAtDoor = picture?.decision.moment === 'at-the-door';
      // [M4] What begins another conversation is asked at the door; the words stay.
      if (asks && !isAtDoor && isLongOver(conversation, port.surroundings.now())) {
        port.setAsksAgain(true);
        return false;
      }
      const before = asks && isAtDoor ? given('before', acting) : undefined;
      if (before === null) return false;
      setDraft('');
      const anew = picture?.circumstances.asksAgain === true;
      talk.send(body, { before, isFirst: !hasSaid, anew });
      return true;
    },
    leaveNote: () => {
      const replies = given('note', acting);
      if (replies === null || state.picture === null) return;
      const fields = state.picture.widget.forms.note;
      const words = wordsField(fields);
      const body = words === undefined ? state.draft : String(replies[words.id] ?? ''); // one that is not shown says nothing
      setDraft('');
      talk.leaveNote(body, toNote(fields, replies));
    },
    leaveMail: (mail) => talk.leaveNote('', { mail, name: '' }),
    giveAfter: () => {
      const replies = given('after', acting);
      if (replies === null) return;
      talk.giveAfter(replies).then(
        () => {
          forms.forget('after');
          state.hasFailed = false;
        },
        () => {
          state.hasFailed = true;
          paint();
        },
      );
    },
    end: () => void talk.end().catch(() => undefined), // it still runs, and can be ended again
    forget: async () => {
      await talk.forget();
      state.draft = '';
      port.setAsksAgain(false);
      focus();
    },
    askAgain: () => port.setAsksAgain(true),
    readEarlier: talk.readEarlier,
    close: port.close,
    accept: port.accept,
    decline: port.decline,
    wait: () => {
      state.isPatient = true;
      paint();
    },
  };
}

/** [M4] Whether a conversation ended so long ago that it does not go on any more. */
function isLongOver(conversation: ConversationFacts | null, now: EpochMs): boolean {
  return conversation?.standing === 'ended' && now - (conversation.endedMs ?? 0) >= RESUMES_WITHIN_MS;
}

/** The replies of a form that fits; else the focus is on what does not, and null. */
function given(place: FormPlace, { port, state, forms, talk, paint }: ActingPort): Replies | null {
  const { picture, draft } = state;
  if (picture === null) return null;
  const replies = forms.check(place, picture, draft, isUnsettled(talk.picture().conversation));
  if (replies !== null) {
    // [V7] Fields to remember, where the visitor has agreed to that.
    const kept = toKept(fieldsOf(picture.widget, place), replies);
    port.memory.write(remember(port.memory.read(), { kind: 'replied', replies: kept }, port.memory.level()));
  }
  paint();
  if (replies === null) port.frame.place.querySelector<HTMLElement>(FAULTY)?.focus();
  return replies;
}
