import { describe, expect, it } from 'vitest';
import { framedAddress } from './framed-address';

const OWN = 'https://porch.example';

describe('framedAddress', () => {
  it('[threat 30] is a page of the owner’s site, by its path or as a whole', () => {
    expect(framedAddress('https://farrowisle.example/', '/tonight?x=1', OWN)).toBe(
      'https://farrowisle.example/tonight?x=1',
    );
    expect(framedAddress('https://farrowisle.example', 'https://farrowisle.example/pt', OWN)).toBe(
      'https://farrowisle.example/pt',
    );
  });

  it('[threat 30] our own application, other sites, and what is no web address are refused', () => {
    expect(framedAddress('https://porch.example', '/s/x/design', OWN)).toBeNull();
    for (const page of [
      'https://elsewhere.example/',
      '//elsewhere.example/',
      'javascript:alert(1)',
      'data:text/html,x',
      'http://farrowisle.example/',
    ])
      expect(framedAddress('https://farrowisle.example', page, OWN), page).toBeNull();
    expect(framedAddress('farrowisle', '/tonight', OWN)).toBeNull();
    expect(framedAddress('file:///etc', '/passwd', OWN)).toBeNull();
  });
});
