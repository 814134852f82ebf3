import { describe, expect, it } from 'vitest';
import { defaultLimits } from '../model/defaults';
import { limitsOf } from './limits';

describe('limitsOf', () => {
  it('[I6] a file of the first program, which has no limits, runs under our defaults', () => {
    expect(limitsOf({})).toEqual(defaultLimits());
  });

  it('[I6] reads each limit from its own place', () => {
    expect(limitsOf({ limits: [3, 5, 7, 11, 13] })).toEqual({
      perVisit: 3,
      gap: 5,
      beforeClosing: 7,
      afterTalk: 11,
      restDays: 13,
    });
  });
});
