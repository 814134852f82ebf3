/** Control signs, and signs that turn the direction of what stands after them. Line breaks and tabs are not among them. */
const UNSEEN = /[\u0000-\u0008\u000b-\u001f\u007f-\u009f\u061c\u200e\u200f\u202a-\u202e\u2066-\u2069\ufeff]/g;

/** What somebody wrote in several lines, as it may be shown: line breaks in one spelling, without unseen signs. */
export function cleanText(text: string): string {
  return text.replace(/\r\n?/g, '\n').replace(UNSEEN, '');
}

/** A name, an address or a title: one line, with no space around it. */
export function cleanLine(text: string): string {
  return cleanText(text)
    .replace(/\s*[\n\t]\s*/g, ' ')
    .trim();
}
