/** Shapes that are told apart without colour. */
export const MARK_SHAPES = [
  'disc',
  'ring',
  'square',
  'diamond',
  'triangle',
  'plus',
  'drop',
  'crescent',
] as const;
export type MarkShape = (typeof MARK_SHAPES)[number];

/** Short words that nobody is called by, and nobody minds. */
export const MARK_WORDS = [
  ...['heron', 'otter', 'puffin', 'seal', 'gannet', 'plover', 'curlew', 'dunlin'],
  ...['lark', 'owl', 'hare', 'swift', 'sparrow', 'finch', 'swan', 'tern'],
  ...['dolphin', 'salmon', 'trout', 'cowrie', 'pebble', 'bracken', 'moss', 'thistle'],
  ...['clover', 'larch', 'alder', 'birch', 'poplar', 'gorse', 'lupin', 'sorrel'],
] as const;
export type MarkWord = (typeof MARK_WORDS)[number];

/** What tells one visitor from another before their name is known. */
export interface VisitorMark {
  readonly shape: MarkShape;
  readonly word: MarkWord;
}

/** Made from a visitor's id: the same in each of their conversations. It says nothing of the id (FNV-1a, 32 bits, of which eight are used). */
export function visitorMark(id: string): VisitorMark {
  let hash = 0x811c9dc5;
  for (let at = 0; at < id.length; at++) hash = Math.imul(hash ^ id.charCodeAt(at), 0x01000193);
  const mixed = (hash ^ (hash >>> 16)) >>> 0;
  return {
    shape: MARK_SHAPES[mixed % MARK_SHAPES.length] ?? 'disc',
    word: MARK_WORDS[Math.floor(mixed / MARK_SHAPES.length) % MARK_WORDS.length] ?? 'heron',
  };
}
