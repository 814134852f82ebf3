import { beforeEach, describe, expect, it, vi } from 'vitest';
import { all, condition, invitations } from '../../../../tests/made/invitations';
import { DESK, EVENING, madeDesign, madeSite } from '../../../../tests/made/site';
import { decide } from '../../../core/decide/decide';
import { decided } from '../../../core/rehearse/decided';
import { DRAWN_MOMENTS } from '../../../core/model/moment';
import { assumedVisitor } from '../../../core/rehearse/assumptions';
import type { Circumstances } from '../../../core/model/circumstances';
import type { PublishedSite } from '../../../core/wire/published-site';
import { momentCardsOf } from '../path/moment-cards';

vi.mock('../../../core/decide/decide', async (original) => {
  const real = await original<{ decide: typeof decide }>();
  return { ...real, decide: vi.fn(real.decide) };
});

const design = madeDesign(invitations({ when: all(condition({ kind: 'on-page', seconds: 40 })) }));
const WORDS = { nameOfTeam: String, minutesEast: () => 0 };
const [widget] = design.widgets;
if (widget === undefined) throw new Error('Expected a widget.');
const base = assumedVisitor(
  {
    page: '/tonight',
    at: EVENING,
    visit: 'first',
    device: 'desktop',
    locale: 'en',
    who: null,
    asks: null,
    zone: null,
  },
  EVENING,
);

describe('one change of the draft', () => {
  beforeEach(() => void vi.mocked(decide).mockClear());

  /** As the screen does it: the base, the moment cards, and each tile's own question. */
  const draw = (site: PublishedSite, reachability: Parameters<typeof momentCardsOf>[3] = null) => {
    decided(site, base);
    const momentCards = momentCardsOf(site, widget, base, reachability, WORDS);
    for (const { previewState } of momentCards) decided(previewState.site, previewState.circumstances);
    return momentCards;
  };

  it('asks the engine once for each tile, once for the page and once for the door, whatever draws it', () => {
    draw(madeSite({ design, teams: { [DESK]: 'in' } }));
    expect(vi.mocked(decide)).toHaveBeenCalledTimes(DRAWN_MOMENTS.length + 2);
    const asked = vi
      .mocked(decide)
      .mock.calls.map(([, circumstances]: [PublishedSite, Circumstances]) => circumstances);
    expect(new Set(asked).size).toBe(asked.length);
  });

  it('what the search tells later about an invitation is asked for that moment card alone; the others stay the same objects', () => {
    const site = madeSite({ design, teams: { [DESK]: 'in' } });
    const first = draw(site);
    vi.mocked(decide).mockClear();
    const reachability = {
      moments: {},
      invitation: 'another',
      base,
      shown: 'main',
      state: 'in',
    } as const;
    const second = draw(site, reachability);
    expect(vi.mocked(decide)).toHaveBeenCalledTimes(1);
    const same = second
      .filter(({ previewState }, index) => previewState === first[index]?.previewState)
      .map(({ moment }) => moment);
    expect(same).toEqual(DRAWN_MOMENTS.filter((moment) => moment !== 'invited'));
  });
});
