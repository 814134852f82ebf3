import type { Setting, SettingId } from '../../core/model/settings';

/** Name of a setting, and its consequence where the name does not say it. */
export const SETTING_WORDS: Readonly<
  Record<SettingId, { readonly name: string; readonly what: string | null }>
> = {
  perVisit: { name: 'Invitations in one visit, at most', what: null },
  gap: { name: 'Time between two invitations', what: 'Counted from when the last one disappeared.' },
  beforeClosing: { name: 'Stop inviting before closing', what: null },
  afterTalk: { name: 'Don’t invite again after a conversation for', what: null },
  restDays: { name: 'After “No, thanks”, no invitations for', what: 'On every page and in every language.' },
  comfortAfter: { name: 'Reassure after', what: null },
  slowReplyAfter: { name: 'Offer to stop waiting after', what: null },
  slowReplyNearbyAfter: { name: 'Offer it while somebody is nearby after', what: null },
  slowReplyTalkingAfter: { name: 'Offer it while talking after', what: 'Off: never during a conversation.' },
  endsAfterQuiet: { name: 'End a silent conversation after', what: 'Writing starts it again.' },
  keepsWaiting: { name: 'Keep people in line after closing', what: 'Off: their question becomes a note.' },
  offersAgain: {
    name: 'Let visitors ask again right away',
    what: 'Off: they can ask again after ten minutes.',
  },
  offset: { name: 'Distance from the edges, larger screens', what: null },
  phoneOffset: { name: 'Distance from the edges, phones', what: null },
  lift: { name: 'Distance from the top or bottom', what: 'For example to clear a cookie bar.' },
  phoneLift: { name: 'Distance from the top or bottom, phones', what: 'Bars are often higher there.' },
  layer: { name: 'Layer (z-index)', what: 'Lower it if something must cover the widget.' },
  windowWidth: { name: 'Window width', what: 'On larger screens, if there is room.' },
  windowHeight: { name: 'Window height', what: 'On phones the window fills the screen.' },
  delay: { name: 'Show the launcher after', what: '0: as soon as the page is idle.' },
  launcherSize: { name: 'Launcher size', what: null },
  wordsFrom: { name: 'Show words on pages at least this wide', what: 'Narrower pages show only the icon.' },
  radius: { name: 'Corner radius of the window', what: null },
  textSize: { name: 'Text size', what: 'The visitor’s own zoom comes on top.' },
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
  return `Type a whole number from ${Math.ceil(least / size)} to ${Math.floor(most / size)}${unitWords(setting) === '' ? '' : ` ${unitWords(setting)}`}. The old value still applies.`;
}
