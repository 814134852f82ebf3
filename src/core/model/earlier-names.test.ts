import { describe, expect, it } from 'vitest';
import { withTodaysNames } from './earlier-names';

describe('withTodaysNames', () => {
  it('renames what the first program called otherwise, and tells an icon’s drawing from an invitation’s text', () => {
    expect(
      withTodaysNames({
        widgets: [
          {
            deeds: { closed: 'note' },
            launcher: { icon: { ours: 'bell' } },
            invitations: [{ id: 'a', manner: 'speak', ours: null, texts: { en: 'manner' } }],
          },
        ],
      }),
    ).toEqual({
      widgets: [
        {
          behaviours: { closed: 'note' },
          launcher: { icon: { drawing: 'bell' } },
          invitations: [{ id: 'a', approach: 'speak', defaultText: null, texts: { en: 'manner' } }],
        },
      ],
    });
  });

  it('leaves what is no design as it is', () => {
    expect([null, 3, 'deeds', []].map(withTodaysNames)).toEqual([null, 3, 'deeds', []]);
  });
});
