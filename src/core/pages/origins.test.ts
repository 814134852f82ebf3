import { describe, expect, it } from 'vitest';
import { isListedOrigin, isTestOrigin, readOrigin } from './origins';

describe('an address that may carry the widget', () => {
  it.each([
    ['granite.example', 'https://granite.example'],
    [' https://Farrowisle.example/tonight?x=1 ', 'https://farrowisle.example'],
    ['http://farrowisle.example:8080/', 'http://farrowisle.example:8080'],
    ['https://farrowisle.example:443', 'https://farrowisle.example'],
    ['*.farrowisle.example', 'https://*.farrowisle.example'],
    ['https://*.farrowisle.example:8443/x', 'https://*.farrowisle.example:8443'],
    ['localhost:3000', 'http://localhost:3000'],
    ['127.0.0.1:3000', 'http://127.0.0.1:3000'],
  ])('%s is kept as %s', (typed, kept) => {
    expect(readOrigin(typed)).toBe(kept);
  });

  it.each([
    '',
    'granite',
    '*.example',
    'a.*.example',
    '*.127.0.0.1',
    'ftp://a.example',
    'me:pw@a.example',
    'a b.example',
    'javascript:alert(1)',
    `${'a'.repeat(220)}.example`,
  ])('%s is none', (typed) => {
    expect(readOrigin(typed)).toBeNull();
  });

  it('[threat 17] takes its subdomains where it says so, and no other host, scheme or port', () => {
    const stored = ['https://*.farrowisle.example', 'http://localhost:3000'];
    const takes = (origin: string) => isListedOrigin(origin, stored);
    expect(
      ['https://www.farrowisle.example', 'https://a.b.farrowisle.example', 'http://localhost:3000'].map(
        takes,
      ),
    ).toEqual([true, true, true]);
    for (const other of [
      'https://farrowisle.example',
      'http://www.farrowisle.example',
      'https://www.farrowisle.example:8443',
      'https://evilfarrowisle.example',
      'https://farrowisle.example.evil.example',
      'http://localhost:3001',
      'null',
    ])
      expect(takes(other), other).toBe(false);
  });

  it('is one to try things out at where only a computer of one’s own has it', () => {
    expect(['http://localhost:3000', 'https://porch.test', 'http://127.0.0.1'].every(isTestOrigin)).toBe(
      true,
    );
    expect(isTestOrigin('https://testing.example')).toBe(false);
  });
});
