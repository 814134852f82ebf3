import type { Moment } from '../../core/model/moment';
import type { DrawnMoment } from '../../core/rehearse/stand-at';
import type { CaseKey } from '../../core/words/catalogue';

/** Name of a moment, and what it is, in a sentence. */
export const MOMENT_WORDS: Readonly<Record<Moment, { readonly name: string; readonly what: string }>> = {
  'passing-by': { name: 'Passing by', what: 'The page has loaded and the window is closed: only the launcher.' },
  invited: { name: 'Invited', what: 'An invitation shows beside the launcher.' },
  'at-the-door': { name: 'At the door', what: 'The window is open; nothing has been asked yet.' },
  waiting: { name: 'Waiting', what: 'A question was sent; nobody has joined yet.' },
  talking: { name: 'Talking', what: 'A responder is in the conversation.' },
  'slow-reply': { name: 'Slow reply', what: 'Nobody has answered for a while; an address may be left.' },
  goodbye: { name: 'Goodbye', what: 'The conversation has ended.' },
  'nobody-home': { name: 'Nobody home', what: 'Nobody can answer: a note may be left.' },
  'note-left': { name: 'Note left', what: 'The note is stored; this confirms it.' },
};

/** The first words said at a moment, by which its stone is known. */
export const FIRST_WORDS: Readonly<Record<DrawnMoment, CaseKey>> = {
  'passing-by': 'launcher.words#somebody',
  'at-the-door': 'greeting',
  waiting: 'waiting.first',
  talking: 'talking.joined',
  goodbye: 'goodbye.again',
  'nobody-home': 'nobodyHome',
  'note-left': 'noteLeft.got',
};

/** Short and full labels of the ways that are drawn (at most ten signs when short). */
export const WAY_WORDS = {
  W2: { short: 'by hand', full: 'clicks the launcher' },
  W6: { short: 'nobody in', full: 'clicks while nobody is in' },
  W7: { short: 'sends', full: 'the first message is sent' },
  W8: { short: 'all leave', full: 'everybody leaves' },
  W9: { short: 'joins', full: 'somebody answers' },
  W11: { short: 'all leave', full: 'everybody leaves meanwhile' },
  W15: { short: 'ends', full: 'either side ends it' },
  W16: { short: 'again', full: 'asks something else' },
  W17: { short: 'note', full: 'sends the note' },
  W18: { short: 'we are in', full: 'somebody comes in meanwhile' },
  W19: { short: 'returns', full: 'comes back, and it was answered' },
} as const;
export type DrawnWay = keyof typeof WAY_WORDS;
