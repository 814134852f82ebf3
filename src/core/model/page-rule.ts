export const PAGE_RULE_KINDS = [
  'exact',
  'begins-with',
  'contains',
  'ends-with',
  'wildcard',
  'expression',
] as const;

export const ADDRESS_PARTS = ['host', 'path', 'query', 'fragment', 'whole'] as const;

export type AddressPart = (typeof ADDRESS_PARTS)[number];

export type PageRule = {
  readonly id: string;
  readonly kind: (typeof PAGE_RULE_KINDS)[number];
  readonly part: AddressPart;
  /** As the owner typed it; canonical since it went through `toRuleText` ([P7]). */
  readonly text: string;
  readonly ignoresCase: boolean;
};
