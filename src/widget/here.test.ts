import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { pageViewAt } from '../core/model/circumstances';
import { EMPTY_MEMORY } from '../core/model/memory';
import { type GuestState, hereWith } from './here';
import type { VisitRuntime } from './port';
import type { Surroundings } from './surroundings';
import type { Tag } from './tag';
import type { VisitorStore } from './visitor-store';

const ADDRESS = 'https://observatory.example/tonight';
const AT = Date.UTC(2026, 10, 2, 21);
const page = { href: ADDRESS };

beforeEach(() => {
  page.href = ADDRESS;
  vi.stubGlobal('location', page);
  vi.stubGlobal('document', { referrer: 'https://stars.example/' });
  vi.stubGlobal('navigator', { languages: ['pt-PT', 'en'] });
});
afterEach(() => vi.unstubAllGlobals());

function guest(isOpen = false) {
  const state: GuestState = {
    runtime: null,
    conversation: null,
    unread: 3,
    asksAgain: false,
    asksFor: null,
    attributes: {},
    page: pageViewAt(ADDRESS, AT),
  };
  const here = hereWith({
    tag: { widget: null, country: 'pt' } as Tag,
    state,
    store: { level: () => 'asked', read: () => EMPTY_MEMORY } as VisitorStore,
    surroundings: { now: () => AT + 5000, device: () => 'phone' } as Surroundings,
    heardAt: () => AT,
    isOpen: () => isOpen,
  });
  return { state, here };
}

describe('the circumstances of a page', () => {
  it('are what browser, tag and state say; what is on the screen counts as read', () => {
    const { visitor, unread, memory } = guest().here('at-the-door', true);
    expect(visitor).toMatchObject({
      device: 'phone',
      languages: ['pt-PT', 'en'],
      country: 'pt',
      visit: 'unknown',
    });
    expect(visitor.referrer).toBe('https://stars.example/');
    expect([unread, memory]).toEqual([3, EMPTY_MEMORY]);
    expect(guest(true).here('talking', true)).toMatchObject({
      unread: 0,
      isWindowOpen: true,
      moment: 'talking',
    });
  });

  it('[V1] begin a page view anew where the address is another one, until the visit runtime sees to it', () => {
    const { state, here } = guest();
    const before = here(null, false).page;
    expect(here(null, false).page).toBe(before);
    page.href = 'https://observatory.example/visit/access';
    expect(here(null, false).page).toMatchObject({ address: page.href, clock: { since: AT + 5000 } });
    state.runtime = { enrich: (base) => ({ ...base, asksFor: 'seen' }) } as VisitRuntime;
    page.href = ADDRESS;
    expect(here(null, false)).toMatchObject({
      asksFor: 'seen',
      page: { address: 'https://observatory.example/visit/access' },
    });
  });
});
