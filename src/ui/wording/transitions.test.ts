import { describe, expect, it } from 'vitest';
import { all, any, condition, invitations, not } from '../../../tests/made/invitations';
import { madeDesign, pageRule } from '../../../tests/made/site';
import type { Widget } from '../../core/model/design';
import { TRANSITIONS, type TransitionId } from '../../core/model/transition';
import { labelOfTransition } from '../../core/rehearse/label-of-transition';
import { SHORT_CHARACTERS_MAX, transitionWords } from './transitions';

const context = { teamName: () => 'Night desk' };
const words = (transition: TransitionId, change: Partial<Widget> = {}) => {
  const design = madeDesign(change);
  const label = labelOfTransition(design, design.widgets[0] as Widget, transition);
  return label === null ? null : transitionWords(label, context);
};
const tonight = condition({ kind: 'page', rules: [pageRule('exact', '/tonight')] });
const seconds = (value: number) => condition({ kind: 'on-page', seconds: value });
const THREE = {
  calendarId: 'night',
  ...invitations(
    { when: all(seconds(40), tonight) },
    { when: all(condition({ kind: 'leaving' })) },
    { approach: 'open', when: all(seconds(90)) },
  ),
};

describe('the words of transitions', () => {
  it.each([
    ['invitation-shown', 'invites', '3 invitations, first: 40 s on /tonight'],
    ['launcher-clicked', 'opens it', 'opens the window'],
    ['opened-by-invitation', 'by itself', 'the window opens by itself: 90 s'],
    ['invitation-accepted', 'accepts', '“Ask something” or a click'],
    ['invitation-declined', 'declines', '“No, thanks”: no invitations for 30 days'],
    ['opened-while-unavailable', 'closed', 'opens the window while closed or nobody is answering'],
    ['first-message-sent', 'sends', 'sends the first message'],
    ['availability-lost', 'we close', 'we close or stop answering'],
    ['responder-joined', 'joins', 'Night desk answers'],
    ['answer-overdue', '90 s', 'no answer after 90 s'],
    [
      'availability-lost-while-waiting',
      'we close',
      'we close or stop answering; the question becomes a note',
    ],
    ['answer-after-all', 'answered', 'somebody answers after all'],
    ['address-left', 'stops', 'leaves a note'],
    ['reply-overdue', 'we leave', 'responder leaves'],
    ['conversation-ended', 'ends', 'either side ends it, or nobody writes for 12 h'],
    ['asked-again', 'again', 'asks something else'],
    ['note-sent', 'note', 'sends the note'],
    ['availability-gained', 'we open', 'we open, or somebody starts answering'],
    ['conversation-resumed', 'more', 'writes again within ten minutes'],
    ['answer-replied-to', 'replies', 'reads our answer and replies'],
  ] as const)('%s: %s, %s', (transition, short, full) => {
    expect(words(transition, THREE)).toEqual({ short, full });
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
        for (const { id } of TRANSITIONS)
          expect(words(id, set)?.short.length ?? 0, `${id} ${JSON.stringify(when)}`).toBeLessThanOrEqual(
            SHORT_CHARACTERS_MAX,
          );
      }
  });

  it('says alternatives with or, and what is left out with not', () => {
    const first = (when: ReturnType<typeof all>) => words('invitation-shown', invitations({ when }))?.full;
    expect(first(any(seconds(40), condition({ kind: 'leaving' })))).toBe(
      '1 invitation: 40 s or about to leave',
    );
    expect(first(all(not({ kind: 'device', devices: ['phone'] })))).toBe('1 invitation: not on a phone');
    expect(first(all())).toBe('1 invitation: at once');
  });
});
