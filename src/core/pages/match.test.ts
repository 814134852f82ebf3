import { describe, expect, it } from 'vitest';
import type { WireRule } from '../wire/design-file';
import { toAddress } from './address';
import { judgePage, ruleTakes } from './match';

const takes = (rule: WireRule, href: string): boolean => {
  const address = toAddress(href);
  if (address === null) throw new Error(`Expected "${href}" to be an address.`);
  return ruleTakes(rule, address);
};
const path = (kind: WireRule[0], operand: string): WireRule => [kind, 'path', operand, false];

describe('ruleTakes', () => {
  it('[P8] a host has no case, a path has', () => {
    expect(takes(['exact', 'host', 'A.Example', false], 'https://a.example/')).toBe(true);
    expect(takes(path('exact', '/Tonight'), 'https://a.example/tonight')).toBe(false);
  });

  it('[P8] without case only A–Z are lowered, on both sides', () => {
    expect(takes(['exact', 'path', '/TONIGHT', true], 'https://a.example/toNight')).toBe(true);
    expect(takes(['exact', 'path', '/İ', true], 'https://a.example/i̇')).toBe(false);
  });

  it('[P9] is exactly means equal: not the page below', () => {
    expect(takes(path('exact', '/groups'), 'https://a.example/groups/')).toBe(true);
    expect(takes(path('exact', '/groups'), 'https://a.example/groups/schools')).toBe(false);
  });

  it('[P9] begins with /groups takes /groups-old too', () => {
    expect(takes(path('begins-with', '/groups'), 'https://a.example/groups-old')).toBe(true);
  });

  it('[P9] begins with /groups/ takes /groups and all below, and does not take /groups-old', () => {
    expect(takes(path('begins-with', '/groups/'), 'https://a.example/groups')).toBe(true);
    expect(takes(path('begins-with', '/groups/'), 'https://a.example/groups/schools')).toBe(true);
    expect(takes(path('begins-with', '/groups/'), 'https://a.example/groups-old')).toBe(false);
  });

  it('[P9] contains and ends with are literal: a dot is a dot, a star a star', () => {
    expect(takes(path('contains', 'o.k'), 'https://a.example/look')).toBe(false);
    expect(takes(path('contains', 'oo'), 'https://a.example/look')).toBe(true);
    expect(takes(path('ends-with', '.html'), 'https://a.example/visit.html')).toBe(true);
    expect(takes(path('ends-with', '.html'), 'https://a.example/visit.html.txt')).toBe(false);
    expect(takes(path('ends-with', '/'), 'https://a.example/visit/')).toBe(false); // one final slash is dropped
  });

  it('[P9] begins with / takes every page, and no bare nothing', () => {
    expect(takes(path('begins-with', '/'), 'https://a.example')).toBe(true);
    expect(takes(['begins-with', 'fragment', '/', false], 'https://a.example/#moon')).toBe(false);
  });

  it('[D4] an unknown kind of rule takes nothing', () => {
    expect(takes(['of-tomorrow', 'path', '/', false] as unknown as WireRule, 'https://a.example/')).toBe(
      false,
    );
  });
});

describe('judgePage', () => {
  const judge = (show: WireRule[], never: WireRule[], href: string) => {
    const address = toAddress(href);
    if (address === null) throw new Error('Expected an address.');
    return judgePage(show, never, address);
  };

  it('[P13] an empty list of pages takes all but the forbidden', () => {
    expect(judge([], [path('exact', '/privacy')], 'https://a.example/tonight')).toEqual({
      accepts: true,
      rule: -1,
    });
    expect(judge([], [path('exact', '/privacy')], 'https://a.example/privacy')).toEqual({
      accepts: false,
      rule: 0,
    });
  });

  it('[P13] never goes before show, and the first that holds is named', () => {
    const show = [path('exact', '/a'), path('begins-with', '/groups/'), path('begins-with', '/')];
    expect(judge(show, [], 'https://a.example/groups/schools')).toEqual({ accepts: true, rule: 1 });
    expect(
      judge(show, [path('exact', '/x'), path('begins-with', '/groups/')], 'https://a.example/groups/schools'),
    ).toEqual({
      accepts: false,
      rule: 1,
    });
  });

  it('[P13] a list of which nothing holds refuses, and names no rule', () => {
    expect(judge([path('exact', '/a')], [], 'https://a.example/b')).toEqual({ accepts: false, rule: null });
  });
});
