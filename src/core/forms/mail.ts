import { LIMITS } from '../limits';

/**
 * Whether something could be a mail address: one `@`, words on both sides, a dot in the host, no space. The same
 * judgement in the widget and on the server; whether it exists, only a letter can tell.
 */
export function isMailShaped(text: string): boolean {
  if (text.length > LIMITS.mailChars || /[\s,;<>"()[\]\\]/.test(text)) return false;
  const [local, host, ...more] = text.split('@');
  if (local === undefined || host === undefined || more.length > 0 || local === '') return false;
  const labels = host.split('.');
  return (
    labels.length > 1 &&
    labels.every((label) => label !== '' && !label.startsWith('-') && !label.endsWith('-'))
  );
}
