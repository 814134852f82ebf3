import { describe, expect, it } from 'vitest';
import { toRuleText } from './rule-text';

const typed = (
  kind: 'exact' | 'begins-with',
  part: 'host' | 'path' | 'query' | 'fragment' | 'whole',
  text: string,
) => {
  const read = toRuleText({ kind, part }, text, 'farrowisle.example');
  return read.ok ? read.value : read.errors;
};

describe('toRuleText', () => {
  it('[P7] a full address pasted into a path rule gives its path', () => {
    expect(typed('exact', 'path', 'https://farrowisle.example/tonight/?utm_source=x#top')).toEqual({
      text: '/tonight',
      otherHost: null,
    });
  });

  it('[P7] a host that is not the site’s is told', () => {
    expect(typed('exact', 'path', 'https://elsewhere.example/tonight')).toEqual({
      text: '/tonight',
      otherHost: 'elsewhere.example',
    });
    expect(typed('exact', 'host', 'Elsewhere.example')).toEqual({
      text: 'elsewhere.example',
      otherHost: 'elsewhere.example',
    });
  });

  it('[P7] begins with keeps its final slash, is exactly loses it', () => {
    expect(typed('begins-with', 'path', '/groups/')).toMatchObject({ text: '/groups/' });
    expect(typed('exact', 'path', '/groups/')).toMatchObject({ text: '/groups' });
  });

  it('[P7] a pattern is read like an address: escapes in one spelling, a missing slash put in', () => {
    expect(typed('exact', 'path', 'céu/%7Eana')).toMatchObject({ text: '/c%C3%A9u/~ana' });
    expect(typed('exact', 'whole', 'https://farrowisle.example/p?b=1&utm_source=x')).toMatchObject({
      text: 'farrowisle.example/p?b=1',
    });
  });

  it('[P7] what is empty or no address is refused', () => {
    expect(typed('exact', 'path', '   ')).toBe('empty');
    expect(typed('exact', 'path', 'https://')).toBe('no-address');
  });
});
