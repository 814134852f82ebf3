import type { Json } from '../../core/model/json';

/** A word or a number as it is; nothing is a dash. */
export function plain(value: Json | undefined): string {
  return typeof value === 'string' || typeof value === 'number' ? String(value) : '–';
}
