import { describe, expect, it } from 'vitest';
import { isNewPageView } from './route';

describe('isNewPageView', () => {
  it('[P18] host, path or query begin a new page view; a fragment only if it stands for a page', () => {
    expect(isNewPageView('https://a.example/x', 'https://a.example/y')).toBe(true);
    expect(isNewPageView('https://a.example/x', 'https://a.example/x?q=1')).toBe(true);
    expect(isNewPageView('https://a.example/x', 'https://a.example/x#map')).toBe(false);
    expect(isNewPageView('https://a.example/#/sky', 'https://a.example/#/moon')).toBe(true);
    expect(isNewPageView('https://a.example/', 'https://a.example/#!/moon')).toBe(true);
    expect(isNewPageView('https://a.example/#/sky', 'https://a.example/#/sky')).toBe(false);
    expect(isNewPageView('https://a.example/#/sky', 'https://a.example/')).toBe(false);
  });
});
