import { describe, expect, it } from 'vitest';
import { all, any, condition, invitations, not } from '../../../tests/made/invitations';
import { madeDesign, pageRule } from '../../../tests/made/site';
import type { Widget } from '../../core/model/design';
import { WAYS, type WayId } from '../../core/model/way';
import { labelOfWay } from '../../core/rehearse/label-of-way';
import { SHORT_SIGNS_MAX, wayWords } from './ways';

const context = { teamName: () => 'Night desk' };
const words = (way: WayId, change: Partial<Widget> = {}) => {
  const design = madeDesign(change);
  const label = labelOfWay(design, design.widgets[0] as Widget, way);
  return label === null ? null : wayWords(label, context);
};
const tonight = condition({ kind: 'page', rules: [pageRule('exact', '/tonight')] });
const seconds = (value: number) => condition({ kind: 'on-page', seconds: value });
const THREE = {
  calendarId: 'night',
  ...invitations(
    { when: all(seconds(40), tonight) },
    { when: all(condition({ kind: 'leaving' })) },
    { manner: 'open', when: all(seconds(90)) },
  ),
};

describe('the words of ways', () => {
  it.each([
    ['W1', '40 s +2', '3 invitations, first: 40 s on /tonight'],
    ['W2', 'by hand', 'clicks the launcher'],
    ['W3', 'by itself', 'opens by itself: 90 s'],
    ['W4', 'accepts', '“Ask something”, or a click'],
    ['W5', 'declines', '“No, thanks”: quiet for 30 days'],
    ['W6', 'closed', 'clicks while closed or nobody is in'],
    ['W7', 'sends', 'the first message is sent'],
    ['W8', 'we close', 'we close, or everybody leaves'],
    ['W9', 'joins', 'somebody of Night desk answers'],
    ['W10', '90 s', 'no answer in 90 s'],
    ['W11', 'we close', 'we close meanwhile, or everybody leaves; it becomes a note'],
    ['W12', 'answered', 'answered after all'],
    ['W13', 'by mail', 'leaves an address'],
    ['W14', 'off', 'off: a pause is only a pause'],
    ['W15', 'ends', 'either side ends it, or 12 h pass in silence'],
    ['W16', 'again', 'asks something else'],
    ['W17', 'note', 'sends the note'],
    ['W18', 'we open', 'we open meanwhile, or somebody comes in'],
    ['W19', 'returns', 'comes back, and it was answered'],
  ] as const)('%s: %s, %s', (way, short, full) => {
    expect(words(way, THREE)).toEqual({ short, full });
  });

  it('every short one fits beside its line, also of odd invitations', () => {
    const odd = [
      all(condition({ kind: 'form-left' })),
      all(not({ kind: 'scrolled', percent: 100 })),
      any(seconds(7200), condition({ kind: 'clicked', selector: '#map .pin' })),
      all(condition({ kind: 'visits-in-days', atLeast: 3, days: 30 })),
      all(),
    ];
    for (const when of odd)
      for (const more of [0, 1, 12]) {
        const set = invitations(
          { when },
          ...Array.from({ length: more }, () => ({ when: all(condition({ kind: 'leaving' })) })),
        );
        for (const { id } of WAYS)
          expect(words(id, set)?.short.length ?? 0, `${id} ${JSON.stringify(when)}`).toBeLessThanOrEqual(
            SHORT_SIGNS_MAX,
          );
      }
  });

  it('says alternatives with or, and what is left out with not', () => {
    const first = (when: ReturnType<typeof all>) => words('W1', invitations({ when }))?.full;
    expect(first(any(seconds(40), condition({ kind: 'leaving' })))).toBe('1 invitation: 40 s or leaving');
    expect(first(all(not({ kind: 'device', devices: ['phone'] })))).toBe('1 invitation: not on a phone');
    expect(first(all())).toBe('1 invitation: at once');
  });
});
