import type { Setting, SettingId } from '../../core/model/settings';

/** Name of a setting, and what it does, in a sentence. */
export const SETTING_WORDS: Readonly<Record<SettingId, { readonly name: string; readonly what: string }>> = {
  perVisit: {
    name: 'Invitations in one visit, at most',
    what: 'Asked once is enough: a second one is rarely welcome.',
  },
  gap: { name: 'Between two invitations', what: 'Counted from the moment the last one left the screen.' },
  beforeClosing: {
    name: 'None so shortly before closing',
    what: 'Nobody is invited to a door that is about to close.',
  },
  afterTalk: { name: 'None so long after a conversation', what: 'They know by then where we are.' },
  restDays: {
    name: 'After a “no, thanks”, all rest',
    what: 'A no is a no, on every page and in every language.',
  },
  comfortAfter: { name: 'A word of comfort after', what: 'Silence feels longer than it is.' },
  slowReplyAfter: {
    name: 'An answer by mail is offered after',
    what: 'Before they leave, which most do within two minutes.',
  },
  slowReplyNearbyAfter: {
    name: 'The same, while somebody is nearby',
    what: 'People have to walk to the desk.',
  },
  slowReplyTalkingAfter: {
    name: 'While talking, it is offered after',
    what: 'Off: a pause in a conversation is only a pause.',
  },
  endsAfterQuiet: {
    name: 'It ends by itself after silence of',
    what: 'An evening and a night; writing opens it again.',
  },
  keepsWaiting: {
    name: 'Who waits when we close goes on waiting',
    what: 'Off: it becomes a note, and is not forgotten.',
  },
  offersAgain: {
    name: 'Something else may be asked at once',
    what: 'Off: the door opens again ten minutes after goodbye.',
  },
  offset: { name: 'From the edges, on larger screens', what: 'Small and out of the way.' },
  phoneOffset: { name: 'From the edges, on phones', what: 'A little closer, where room is scarce.' },
  lift: {
    name: 'Further from the upper or lower edge',
    what: 'For a bar that lies there, such as one about cookies.',
  },
  phoneLift: { name: 'The same, on phones', what: 'Bars are often higher there.' },
  layer: {
    name: 'Layer (z-index)',
    what: 'Above everything; lower it only for something that must lie over the widget.',
  },
  windowWidth: { name: 'Width of the window', what: 'On larger screens, as far as there is room.' },
  windowHeight: { name: 'Height of the window', what: 'On phones it is the whole screen.' },
  delay: {
    name: 'The launcher arrives after',
    what: '0: at the first idle moment of the page, which it never competes with.',
  },
  launcherSize: { name: 'Size of the launcher', what: 'Easy to hit with a thumb.' },
  wordsFrom: {
    name: 'Words beside the mark, on pages from',
    what: 'On narrower ones the mark stands alone.',
  },
  radius: { name: 'Roundness of the window', what: 'As the look has it.' },
  textSize: { name: 'Size of the text', what: 'The visitor’s own enlargement comes on top.' },
};

const UNITS: Readonly<Record<Setting['unit'], string>> = {
  seconds: 's',
  minutes: 'min',
  hours: 'h',
  days: 'days',
  px: 'px',
  times: '',
  switch: '',
};

/** The unit a setting is typed in; empty for a count. */
export function unitWords({ unit }: Setting): string {
  return UNITS[unit];
}

/** A stored value as it is typed, with its unit: `90 s`, `12 h`, `off`. */
export function settingWords(value: number | null, setting: Setting): string {
  if (setting.unit === 'switch') return value === 1 ? 'on' : 'off';
  return value === null ? 'off' : `${value / setting.size} ${unitWords(setting)}`.trim();
}

/** What is wrong with a value that was typed, and what would do. */
export function boundsWords(setting: Setting): string {
  const { least, most, size } = setting;
  return `A whole number from ${Math.ceil(least / size)} to ${Math.floor(most / size)}${unitWords(setting) === '' ? '' : ` ${unitWords(setting)}`}. Not saved yet.`;
}
