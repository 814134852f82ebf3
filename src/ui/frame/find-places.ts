import { FRAME_WORDS } from '../wording/screens/frame';
import { SHARED_WORDS } from '../wording/screens/shared';
/** Places inside a screen that the search leads to, by our words and the trade's. */
export const PLACES: readonly { readonly name: string; readonly words: string; readonly path: string }[] = [
  { name: SHARED_WORDS.brandColour, words: 'colour color theme palette', path: 'design?side=look' },
  {
    name: FRAME_WORDS.cornerOfThePage,
    words: 'position place launcher bubble side',
    path: 'design?side=look',
  },
  { name: FRAME_WORDS.greeting, words: 'welcome message hello text', path: 'design?moment=at-the-door' },
  { name: FRAME_WORDS.wordsOnTheLauncher, words: 'button label bubble', path: 'design?moment=passing-by' },
  {
    name: FRAME_WORDS.noteForm,
    words: 'offline form away message contact',
    path: 'design?moment=nobody-home',
  },
  {
    name: SHARED_WORDS.tryAVisit,
    words: 'test simulate rehearse preview replay walk through',
    path: 'design?try',
  },
  { name: SHARED_WORDS.yourSnippet, words: 'tag script code embed', path: 'install' },
];

/**
 * How well a place fits what was typed, 0 to 1: every typed word must begin a word of its name or of the words it is
 * also known by; names go before those.
 */
export function fitOf(name: string, typed: string, alsoKnownAs: readonly string[] = []): number {
  const wanted = wordsOf(typed);
  if (wanted.length === 0) return 1;
  const [own, other] = [wordsOf(name), alsoKnownAs.flatMap(wordsOf)];
  const fits = wanted.map((word) => (begins(own, word) ? 1 : begins(other, word) ? 0.5 : 0));
  return fits.includes(0) ? 0 : fits.reduce<number>((sum, fit) => sum + fit, 0) / fits.length;
}

function wordsOf(text: string): string[] {
  return text
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean);
}

function begins(words: readonly string[], typed: string): boolean {
  return words.some((word) => word.startsWith(typed));
}
