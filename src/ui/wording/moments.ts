import type { Moment } from '../../core/model/moment';

/** Name of a moment, and what it is, in a sentence. */
export const MOMENT_WORDS: Readonly<Record<Moment, { readonly name: string; readonly what: string }>> = {
  'passing-by': {
    name: 'Passing by',
    what: 'The page has loaded and the window is closed: only the launcher.',
  },
  invited: { name: 'Invited', what: 'An invitation shows beside the launcher.' },
  'at-the-door': { name: 'At the door', what: 'The window is open; nothing has been asked yet.' },
  waiting: { name: 'Waiting', what: 'A question was sent; nobody has joined yet.' },
  talking: { name: 'Talking', what: 'A responder is in the conversation.' },
  'slow-reply': { name: 'Slow reply', what: 'Nobody has answered for a while; an address may be left.' },
  goodbye: { name: 'Goodbye', what: 'The conversation has ended.' },
  'nobody-home': { name: 'Nobody home', what: 'Nobody can answer: a note may be left.' },
  'note-left': { name: 'Note left', what: 'The note is stored; this confirms it.' },
};
