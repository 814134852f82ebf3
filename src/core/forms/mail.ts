import { LIMITS } from '../limits';

/** What stands in no address: spaces, control and direction signs, and what parts addresses from other things. */
const FOREIGN =
  /[\s,;:<>"()[\]\\\u0000-\u001f\u007f-\u009f\u061c\u200b-\u200f\u202a-\u202e\u2060-\u2069\ufeff]/;

/** A part of a host's name, in any script; no port, path or query. */
const LABEL = /^[\p{L}\p{M}\p{N}]([\p{L}\p{M}\p{N}-]*[\p{L}\p{M}\p{N}])?$/u;

/**
 * Whether something could be a mail address: one `@`, words before it, and after it a host with a dot. The same
 * judgement in the widget and on the server; whether it exists, only a letter can tell.
 */
export function isMailShaped(text: string): boolean {
  if (text.length > LIMITS.mailChars || FOREIGN.test(text)) return false;
  const [local, host = '', ...more] = text.split('@');
  const labels = host.split('.');
  return more.length === 0 && local !== '' && labels.length > 1 && labels.every((label) => LABEL.test(label));
}
