import type { Moment } from '../../core/model/moment';

/** Name of a moment, and what it is, in a sentence. */
export const MOMENT_WORDS: Readonly<Record<Moment, { readonly name: string; readonly what: string }>> = {
  'passing-by': {
    name: 'Passing by',
    what: 'Only the launcher shows; the window is closed.',
  },
  invited: { name: 'Invited', what: 'An invitation shows beside the launcher.' },
  'at-the-door': { name: 'At the door', what: 'The window is open; the visitor has not written yet.' },
  waiting: { name: 'Waiting', what: 'A question was sent; nobody has joined yet.' },
  talking: { name: 'Talking', what: 'Somebody is answering this visitor.' },
  'slow-reply': {
    name: 'Slow reply',
    what: 'Nobody has answered for a while; the visitor can stop waiting.',
  },
  goodbye: { name: 'Goodbye', what: 'The conversation has ended.' },
  'nobody-home': { name: 'Nobody home', what: 'Nobody can answer; the visitor can leave a note.' },
  'note-left': { name: 'Note left', what: 'The note was sent; this confirms it.' },
};
