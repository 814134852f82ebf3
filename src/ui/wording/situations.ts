import type { Situation } from '../../core/rehearse/assumptions';

/** Name of a computed situation. */
export const SITUATION_WORDS: Readonly<Record<Situation['code'], string>> = {
  now: 'Now',
  'before-closing': 'Ten minutes before closing',
  'next-closed': 'Next closed hour',
  'all-busy': 'All busy',
  'nobody-in': 'Open, nobody answering',
  returning: 'A returning visitor',
  phone: 'On a phone, in your second language',
  'next-holiday': 'Next holiday',
};
