import type { Automaton } from '../wire/automaton';
import type { WireCharacters } from '../wire/automaton';

/**
 * [P12] Whether a pattern is found in a text, by simulation of all states at once: at most length × states steps, each
 * of them told to `step`. No engine's own expressions are used.
 */
export function finds(
  [words, classes, follow, anywhere, atEnd, start, startFinds, again, againFinds]: Automaton,
  text: string,
  step?: () => void,
): boolean {
  if (startFinds === 1 || (startFinds === 2 && text === '')) return true;
  let active = [...start];
  for (let at = 0; at < text.length;) {
    const code = text.codePointAt(at) ?? 0;
    at += code > 0xffff ? 2 : 1;
    const isLast = at >= text.length;
    const next = [...again];
    for (let word = 0; word < words; word++) {
      for (let bits = active[word] ?? 0; bits !== 0; bits &= bits - 1) {
        const bit = bits & -bits;
        const state = word * 32 + 31 - Math.clz32(bit);
        step?.();
        if (!isIn(code, classes[state] ?? '')) continue;
        if ((anywhere[word] ?? 0) & bit || (isLast && (atEnd[word] ?? 0) & bit)) return true;
        for (let index = 0; index < words; index++)
          next[index] = (next[index] ?? 0) | (follow[state * words + index] ?? 0);
      }
    }
    active = next;
  }
  return againFinds > 0 && text !== '';
}

function isIn(code: number, characters: WireCharacters): boolean {
  if (typeof characters === 'string') return characters.codePointAt(0) === code;
  const isNot = characters[0] === -1;
  for (let at = isNot ? 1 : 0; at < characters.length; at += 2)
    if (code >= (characters[at] ?? 0) && code <= (characters[at + 1] ?? 0)) return !isNot;
  return isNot;
}
