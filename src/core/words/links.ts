/** A piece of what somebody wrote, and where it leads; null: nowhere. */
export interface LinkedPart {
  readonly text: string;
  readonly href: string | null;
}

/**
 * Finds web addresses, e-mail addresses and phone numbers in a text, which stays as it is. Only `http`, `https`, `mailto`
 * and `tel` come of it; an address that names a user before its host is left alone, as it leads elsewhere than it looks.
 * Takes time in proportion to the text.
 */
export function linksIn(text: string): LinkedPart[] {
  const parts: LinkedPart[] = [];
  for (const { text: word, href } of text.split(/(\s+)/).flatMap(partsOfWord)) {
    const last = parts.at(-1);
    if (href === null && last?.href === null) parts[parts.length - 1] = { text: last.text + word, href };
    else if (word !== '') parts.push({ text: word, href });
  }
  return parts.flatMap((part) => (part.href === null ? phonesIn(part.text) : [part]));
}

const nowhere = (text: string): LinkedPart => ({ text, href: null });

/** A word with an address in it: what stands before it, the address, and the signs that close the sentence. */
function partsOfWord(word: string): LinkedPart[] {
  const begins = word.search(/https?:\/\//i);
  const from = begins >= 0 ? begins : word.length - word.replace(/^[("'<«“[]+/, '').length;
  const address = withoutEnd(word.slice(from));
  const href = begins >= 0 ? webAddress(address) : mailAddress(address);
  if (href === null) return [nowhere(word)];
  return [nowhere(word.slice(0, from)), { text: address, href }, nowhere(word.slice(from + address.length))];
}

function webAddress(text: string): string | null {
  try {
    const { href, hostname, username, password } = new URL(text);
    return hostname !== '' && username === '' && password === '' ? href : null;
  } catch {
    return null; // no address, though it begins like one
  }
}

function mailAddress(text: string): string | null {
  return /^[\w.+-]+@[a-z0-9-]+(\.[a-z0-9-]+)+$/i.test(text) ? `mailto:${text}` : null;
}

const CLOSING = '.,;:!?\'"»”…';
const BRACKETS: Readonly<Record<string, string>> = { ')': '(', ']': '[', '>': '<' };

/** Without the signs that close a sentence, and without a bracket that was opened before the address. */
function withoutEnd(text: string): string {
  let end = text.length;
  for (; end > 0; end--) {
    const last = text[end - 1] ?? '';
    const opening = BRACKETS[last];
    if (opening === undefined ? !CLOSING.includes(last) : text.includes(opening)) break;
  }
  return text.slice(0, end);
}

/** Numbers as they are dialled: they begin with + or 0 and have seven to fifteen digits. */
function phonesIn(text: string): LinkedPart[] {
  const parts: LinkedPart[] = [];
  let from = 0;
  for (const { 0: number, index } of text.matchAll(/(?<![\p{L}\p{N}.,/(+-])(?:\+|0)[\d ()./-]*\d/gu)) {
    const digits = number.replace(/\D/g, '');
    if (digits.length < 7 || digits.length > 15 || isDateOrFraction(number)) continue;
    parts.push(nowhere(text.slice(from, index)), {
      text: number,
      href: `tel:${number.startsWith('+') ? '+' : ''}${digits}`,
    });
    from = index + number.length;
  }
  return [...parts, nowhere(text.slice(from))].filter(({ text: part }) => part !== '');
}

function isDateOrFraction(number: string): boolean {
  return /^0\.\d+$/.test(number) || /^\d{1,2}[./-]\d{1,2}[./-]\d{2,4}$/.test(number);
}
