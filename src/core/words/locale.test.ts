import { describe, expect, it } from 'vitest';
import { chooseLocale } from './locale';

const OFFERED = ['en', 'pt', 'pt-BR', 'de', 'ar'];

describe('chooseLocale', () => {
  it('[T1] exact goes before shorter, whatever the case', () => {
    expect(chooseLocale(['PT-br'], OFFERED, 'en')).toBe('pt-BR');
    expect(chooseLocale(['de-AT-1996'], OFFERED, 'en')).toBe('de');
  });

  it('[T1] a preferred language is followed to its end before the next one is heard', () => {
    expect(chooseLocale(['de-CH', 'pt'], OFFERED, 'en')).toBe('de');
    expect(chooseLocale(['fr', 'ar-EG', 'pt'], OFFERED, 'en')).toBe('ar');
  });

  it('[T1] then any locale of the same language in the site’s order, else the site’s default', () => {
    expect(chooseLocale(['pt-PT'], ['en', 'pt-BR', 'pt-AO'], 'en')).toBe('pt-BR');
    expect(chooseLocale(['fr'], OFFERED, 'de')).toBe('de');
    expect(chooseLocale(['en-x-moon', ''], OFFERED, 'de')).toBe('en');
  });
});
