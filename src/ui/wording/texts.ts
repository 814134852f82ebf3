import type { CaseKey } from '../../core/model/text-keys';
import type { TextKey } from '../../core/model/text-keys';
import { entryOf, textKeyOf } from '../../core/words/catalogue';
import { MOMENT_WORDS } from './moments';

const NAMES: Partial<Record<TextKey, string>> = {
  'launcher.words': 'Words on the launcher',
  'launcher.name': 'Launcher, read out',
  'launcher.unread': 'Launcher, with new messages',
  'invitation.yes': 'Reply: yes',
  'invitation.no': 'Reply: no',
  'invitation.stayed': 'Our text for somebody who stayed',
  'invitation.formLeft': 'Our text for a half-finished form',
  'invitation.backAgain': 'Our text for a returning visitor',
  'window.title': 'Title',
  'window.close': 'Close button, read out',
  'window.earlier': 'Show earlier messages',
  'window.messages': 'List of messages, read out',
  status: 'Status',
  'status.until': 'Status, two hours before closing',
  greeting: 'Greeting',
  'input.label': 'Empty message field',
  'input.add': 'Empty message field, later',
  'input.send': 'Send button',
  'input.tooLong': 'Message too long',
  'input.left': 'Almost full',
  'input.notSent': 'Not sent yet',
  'input.refused': 'Message refused',
  'waiting.first': 'First words while waiting',
  'waiting.status': 'Status while waiting',
  'waiting.comfort': 'Reassurance',
  'waiting.place': 'Place in line',
  'waiting.closing': 'Ten minutes before closing',
  'slowReply.offer': 'Offer to stop waiting',
  'slowReply.yes': 'Reply: stop waiting',
  'slowReply.no': 'Reply: wait',
  'slowReply.done': 'Address received',
  'talking.joined': 'Somebody has joined',
  'talking.stepped': 'The responder has left',
  'talking.status': 'Status while talking',
  'talking.end': 'End of a conversation',
  'talking.sending': 'On its way',
  'talking.lost': 'Connection lost',
  'talking.you': 'The visitor’s own messages, read out',
  'goodbye.again': 'Ask something else',
  'goodbye.status': 'Status at goodbye',
  'goodbye.byVisitor': 'Ended by the visitor',
  'goodbye.byResponder': 'Ended by you',
  'goodbye.bySilence': 'Ended after silence',
  nobodyHome: 'Nobody home',
  'nobodyHome.kept': 'Your text is kept',
  'note.text': 'Label of the note',
  'note.email': 'Label of the e-mail',
  'note.email.help': 'Help under the e-mail',
  'note.name': 'Label of the name',
  'note.send': 'Button of the note',
  'note.noText': 'Note is empty',
  'note.noEmail': 'E-mail is missing',
  'note.badEmail': 'E-mail is not valid',
  'form.missing': 'Something is missing',
  'form.consent': 'Consent is missing',
  'form.tooShort': 'Text too short',
  'form.tooLong': 'Text too long',
  'form.notPhone': 'Not a phone number',
  'form.notNumber': 'Not a number',
  'form.tooSmall': 'Number too small',
  'form.tooLarge': 'Number too large',
  'form.notDate': 'Not a date',
  'form.tooEarly': 'Date too early',
  'form.tooLate': 'Date too late',
  'form.notOffered': 'Not one of the choices',
  'form.tooFew': 'Too few chosen',
  'form.tooMany': 'Too many chosen',
  'form.yes': 'Choice: yes',
  'form.no': 'Choice: no',
  'form.choose': 'Nothing chosen yet',
  'form.thanks': 'Form received',
  'form.notSent': 'Form not sent',
  'noteLeft.got': 'Note received',
  'noteLeft.status': 'Status after a note',
  'noteLeft.add': 'Words under the note',
  'noteLeft.forget': 'Button: forget me',
  'noteLeft.forgetAsk': 'Question before forgetting',
  'noteLeft.forgetNo': 'Button: do not forget',
};

const CASE_NAMES: Readonly<Record<string, string>> = {
  in: 'answering',
  somebody: 'answering, nearby or busy',
  nearby: 'nearby',
  busy: 'all busy',
  closed: 'closed',
  returning: 'returning',
  holiday: 'holiday',
  break: 'on a break',
  override: 'closed early',
};

/** What a text is called on screen. */
/** What a second wording of a text is for. */
const SECOND_WORDS = [
  ['/without', ', without the time'],
  ['/no-email', ', while no e-mail is sent'],
] as const;

export function textName(key: CaseKey): string {
  const plain = textKeyOf(key);
  const moment = entryOf(plain).moment;
  const place = plain.startsWith('form.')
    ? 'Form'
    : moment === 'window'
      ? 'Window'
      : MOMENT_WORDS[moment].name;
  const name = NAMES[plain] ?? `${place}: ${plain.split('.').at(-1)}`;
  const id = /#([a-z]+)/i.exec(key)?.[1];
  const without = SECOND_WORDS.find(([end]) => key.endsWith(end))?.[1] ?? '';
  return id === undefined ? name + without : `${name} (${CASE_NAMES[id] ?? id}${without})`;
}
