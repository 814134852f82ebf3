import { describe, expect, it } from 'vitest';
import { madeDesign } from '../../../../tests/made/site';
import type { Assumptions } from '../../../core/rehearse/assumptions';
import { readSupposed, writeAssumptions } from './use-assumptions';

const design = madeDesign({ teams: ['night', 'schools'] }, { locales: ['en', 'pt'] });

describe('circumstances in the address', () => {
  it('come back as they were sent, and what is as it is now takes no room', () => {
    const sent: Assumptions = {
      page: '/tonight',
      at: Date.UTC(2026, 10, 25, 22),
      visit: 'returning',
      device: 'phone',
      locale: 'pt',
      who: 'busy',
      asks: 'schools',
      zone: 'Asia/Tokyo',
    };
    const written = writeAssumptions(new URLSearchParams('moment=waiting'), sent, design);
    expect(written.get('moment')).toBe('waiting');
    expect(readSupposed(written, design)).toEqual(sent);
    const plain = readSupposed(new URLSearchParams(), design);
    expect(writeAssumptions(written, plain, design).toString()).toBe('moment=waiting');
  });

  it('what cannot be read is as it is now', () => {
    const odd = new URLSearchParams(
      'at=soon&visit=9&device=fridge&locale=xx&with=constructor&asks=nobody-here&zone=Mars/Olympus',
    );
    expect(readSupposed(odd, design)).toEqual(readSupposed(new URLSearchParams(), design));
  });
});
