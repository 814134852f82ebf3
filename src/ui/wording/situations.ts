import type { Situation } from '../../core/rehearse/assumptions';

/** Name of a computed situation. */
export const SITUATION_WORDS: Readonly<Record<Situation['code'], string>> = {
  now: 'Now',
  'before-closing': 'Ten minutes before closing',
  'next-closed': 'The next closed hour',
  'all-busy': 'Everybody busy',
  'nobody-in': 'Open, and nobody in',
  returning: 'Somebody who was here before',
  phone: 'On a phone, in your second language',
  'next-holiday': 'The next holiday',
};
