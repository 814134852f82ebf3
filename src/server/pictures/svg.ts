import { SaxesParser } from 'saxes';

const BYTES_MAX = 1024 * 1024;
const ELEMENTS_MAX = 20_000;
const DEPTH_MAX = 100;
/** They bring pictures of their own, or what is drawn by somebody else. */
const REFUSED = new Set(['image', 'feimage', 'foreignobject']);
const SVG = 'http://www.w3.org/2000/svg';

/** What may stand before the first element, and how it ends; a doctype is refused later, with its reason. */
const BEFORE: readonly (readonly [begins: RegExp, ends: string])[] = [
  [/^<\?/, '?>'],
  [/^<!--/, '-->'],
  [/^<!doctype[^[>]*\[/i, ']>'],
  [/^<!doctype/i, '>'],
];

/** Whether the first thing in a text is an `svg` element; prologue, comments and a doctype may stand before it. */
export function isSvg(sent: Buffer): boolean {
  let rest = sent
    .subarray(0, 4096)
    .toString('utf8')
    .replace(/^\uFEFF/, '')
    .trimStart();
  for (let found = endOf(rest); found > 0; found = endOf(rest)) rest = rest.slice(found).trimStart();
  return /^<([a-z]+:)?svg[\s>/]/i.test(rest);
}

/** Where what a text begins with ends, if it is no element; 0: it is one, or does not end. One step, and none back. */
function endOf(text: string): number {
  const ends = BEFORE.find(([begins]) => begins.test(text))?.[1];
  const at = ends === undefined ? -1 : text.indexOf(ends);
  return at < 0 ? 0 : at + (ends?.length ?? 0);
}

/** Why a drawing is not drawn ([threat 13]), in a sentence; null: it can be. */
export function faultOfSvg(sent: Buffer): string | null {
  if (sent.length > BYTES_MAX)
    return 'That drawing is larger than 1 MB. Nothing was stored; save it as a PNG and try again.';
  let fault: string | null = null;
  let [count, depth] = [0, 0];
  const parser = new SaxesParser({ xmlns: true });
  const refuse = (why: string): void => {
    fault ??= `${why} Nothing was stored; save it as a PNG and try again.`;
  };
  parser.on('error', () => refuse('That drawing is not well-formed SVG.'));
  parser.on('doctype', () =>
    refuse('That drawing brings definitions of its own (a doctype), which are not read.'),
  );
  parser.on('opentag', ({ local, uri }) => {
    count++;
    depth++;
    if (count === 1 && uri !== SVG)
      refuse('That drawing does not say that it is SVG (its xmlns is missing).');
    if (REFUSED.has(local.toLowerCase()))
      refuse(`That drawing has a picture inside (“${local}”), which is not drawn.`);
    if (count > ELEMENTS_MAX || depth > DEPTH_MAX) refuse('That drawing has too many parts.');
  });
  parser.on('closetag', () => void depth--);
  for (const part of parts(sent.toString('utf8'))) {
    if (fault !== null) break;
    parser.write(part);
  }
  if (fault === null) parser.close();
  return fault;
}

function* parts(text: string): Iterable<string> {
  for (let at = 0; at < text.length; at += 64 * 1024) yield text.slice(at, at + 64 * 1024);
}
