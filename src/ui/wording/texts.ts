import type { CaseKey, TextKey } from '../../core/words/catalogue';
import { entryOf, textKeyOf } from '../../core/words/catalogue';
import { MOMENT_WORDS } from './moments';

const NAMES: Partial<Record<TextKey, string>> = {
  'launcher.words': 'Words on the launcher',
  'launcher.name': 'Launcher, for screen readers',
  'window.title': 'Title',
  status: 'Status',
  greeting: 'Greeting',
  'input.label': 'Words in the empty field',
  'input.add': 'Words in the empty field, later on',
  'input.send': 'Send button',
  'waiting.first': 'First words while waiting',
  'waiting.status': 'Status while waiting',
  'talking.joined': 'Somebody has joined',
  'talking.status': 'Status while talking',
  'talking.end': 'End of a conversation',
  'goodbye.again': 'Ask something else',
  'goodbye.status': 'Status at goodbye',
  nobodyHome: 'Nobody home',
  'note.text': 'Label of the note',
  'note.email': 'Label of the e-mail',
  'note.email.help': 'Help under the e-mail',
  'note.name': 'Label of the name',
  'note.send': 'Button of the note',
  'noteLeft.got': 'Note received',
};

const CASE_NAMES: Readonly<Record<string, string>> = {
  in: 'somebody in',
  somebody: 'somebody in, nearby or busy',
  nearby: 'somebody nearby',
  busy: 'all busy',
  closed: 'closed',
  returning: 'returning',
  holiday: 'holiday',
  break: 'on a break',
  override: 'closed by hand',
};

/** What a text is called on screen. */
export function textName(key: CaseKey): string {
  const plain = textKeyOf(key);
  const moment = entryOf(plain).moment;
  const place = plain.startsWith('form.') ? 'Form' : moment === 'window' ? 'Window' : MOMENT_WORDS[moment].name;
  const name = NAMES[plain] ?? `${place}: ${plain.split('.').at(-1)}`;
  const id = /#([a-z]+)/i.exec(key)?.[1];
  const without = key.endsWith('/without') ? ', without the time' : '';
  return id === undefined ? name + without : `${name} (${CASE_NAMES[id] ?? id}${without})`;
}
