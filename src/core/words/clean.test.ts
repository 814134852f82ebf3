import { describe, expect, it } from 'vitest';
import { cleanLine, cleanText } from './clean';

describe('what somebody wrote', () => {
  it('[threat 8] loses control and direction signs, and keeps its lines', () => {
    expect(cleanText('one\r\ntwo\rthree\u202e\u0000\u0007\u2066\u200f\u061c\ufefffour\tfive')).toBe(
      'one\ntwo\nthreefour\tfive',
    );
  });

  it('[threat 8] is one line where it is a name; what joins letters and faces stays', () => {
    expect(cleanLine('  Ana\n\t Braga\u202e ')).toBe('Ana Braga');
    expect(cleanLine('می‌خواهم 👩‍🚀')).toBe('می‌خواهم 👩‍🚀');
  });
});
