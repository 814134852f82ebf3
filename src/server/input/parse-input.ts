import { type ValidationError, validateSync } from './validators';
import { type ClassConstructor, plainToInstance } from 'class-transformer';
import { type FieldErrors, type Result, fail, ok } from '../../core/result';
import { rememberClasses } from './remember-classes';

rememberClasses();

/**
 * The one door for untrusted data: an input class judges it, unknown names are refused, and what leaves is a plain
 * object. Depth and size are checked before, where the bytes are read.
 */
export function parseInput<T extends object>(Class: ClassConstructor<T>, raw: unknown): Result<T> {
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw))
    return fail({ '': 'Expected an object with named fields.' });
  if (holdsNullItem(raw)) return fail({ '': 'A list holds an empty item.' });
  if (holdsReservedName(raw)) return fail({ '': 'No field may have this name.' });
  const instance = plainToInstance(Class, raw);
  const faults = validateSync(instance, {
    whitelist: true,
    forbidNonWhitelisted: true,
    forbidUnknownValues: true,
    stopAtFirstError: true,
  });
  if (faults.length > 0) return fail(toFieldErrors(faults));
  return ok(toPlain(instance) as T);
}

/** class-transformer throws on a null in a list whose items have a class. */
function holdsNullItem(node: unknown): boolean {
  if (Array.isArray(node)) return node.some((one) => one === null || holdsNullItem(one));
  return typeof node === 'object' && node !== null && Object.values(node).some(holdsNullItem);
}

/** Names that every object of the language has by itself; class-transformer stumbles over them. */
const RESERVED = ['constructor', '__proto__', 'prototype'];

function holdsReservedName(node: unknown): boolean {
  if (Array.isArray(node)) return node.some(holdsReservedName);
  if (typeof node !== 'object' || node === null) return false;
  return RESERVED.some((name) => Object.hasOwn(node, name)) || Object.values(node).some(holdsReservedName);
}

function toFieldErrors(faults: readonly ValidationError[], path = ''): FieldErrors {
  const errors: Record<string, string> = {};
  for (const { property, constraints, children } of faults) {
    const place = path === '' ? property : `${path}.${property}`;
    const [first] = Object.values(constraints ?? {});
    if (first !== undefined) errors[place] = first;
    Object.assign(errors, toFieldErrors(children ?? [], place));
  }
  return errors;
}

function toPlain(node: unknown): unknown {
  if (Array.isArray(node)) return node.map(toPlain);
  if (typeof node !== 'object' || node === null) return node;
  return Object.fromEntries(
    Object.entries(node)
      .filter(([, value]) => value !== undefined)
      .map(([name, value]) => [name, toPlain(value)]),
  );
}
