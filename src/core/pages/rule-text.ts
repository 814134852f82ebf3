import type { PageRule } from '../model/page-rule';
import { type Result, fail, ok } from '../result';
import { canonicalEscapes, toAddress, withoutFinalSlash } from './address';

/** What became of a typed pattern. `otherHost` is told when a full address of another site was pasted. */
export interface RuleText {
  readonly text: string;
  readonly otherHost: string | null;
}

/**
 * [P7] A pattern goes through the same reading as an address when it is entered; a full address pasted into a path
 * rule gives its path. *Begins with* keeps its final slash, which means something there ([P9]).
 */
export function toRuleText(
  rule: Pick<PageRule, 'kind' | 'part'>,
  typed: string,
  siteHost: string,
): Result<RuleText, 'empty' | 'no-address'> {
  const text = typed.trim();
  if (text === '') return fail('empty');
  if (rule.part === 'host') return hostRule(text, siteHost);
  const pasted = /^https?:\/\//i.test(text) ? toAddress(text) : null;
  if (/^https?:\/\//i.test(text) && pasted === null) return fail('no-address');
  const otherHost = pasted !== null && pasted.host !== siteHost ? pasted.host : null;
  if (rule.part === 'path')
    return ok({ text: pathRule(rule.kind, pasted === null ? text : pathOf(text)), otherHost });
  if (rule.part === 'whole') return ok({ text: wholeRule(text, siteHost), otherHost });
  return ok({ text: canonicalEscapes(text.replace(/^[#?]/, '')), otherHost: null });
}

function hostRule(text: string, siteHost: string): Result<RuleText, 'no-address'> {
  const address = toAddress(/^https?:\/\//i.test(text) ? text : `http://${text}`);
  if (address === null) return fail('no-address');
  return ok({ text: address.host, otherHost: address.host === siteHost ? null : address.host });
}

function pathOf(href: string): string {
  return new URL(href).pathname;
}

function pathRule(kind: PageRule['kind'], text: string): string {
  const rooted = text.startsWith('/') ? text : `/${text}`;
  const path = canonicalEscapes(new URL(`http://h${rooted.replace(/[?#].*$/, '')}`).pathname);
  return kind === 'begins-with' ? path : withoutFinalSlash(path);
}

function wholeRule(text: string, siteHost: string): string {
  const bare = text.startsWith('/') ? `http://${siteHost}${text}` : `http://${text}`;
  const full = /^https?:\/\//i.test(text) ? text : bare;
  return toAddress(full)?.whole ?? canonicalEscapes(text);
}
