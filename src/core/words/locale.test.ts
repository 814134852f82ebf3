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

  it('[T1] a script goes before a region: Hong Kong reads traditional signs', () => {
    expect(chooseLocale(['zh-HK'], ['en', 'zh', 'zh-Hant'], 'en')).toBe('zh-Hant');
    expect(chooseLocale(['zh-HK'], ['en', 'zh-CN', 'zh-TW'], 'en')).toBe('zh-TW');
    expect(chooseLocale(['zh-SG'], ['en', 'zh-TW', 'zh-CN'], 'en')).toBe('zh-CN');
    expect(chooseLocale(['zh-Hant-HK'], ['en', 'zh'], 'en')).toBe('zh');
    expect(chooseLocale(['sr-Latn'], ['en', 'sr'], 'en')).toBe('sr');
  });

  it('[T1] reads what is written with an underscore, and is not led astray by what is no tag', () => {
    expect(chooseLocale(['pt_BR'], OFFERED, 'en')).toBe('pt-BR');
    expect(chooseLocale(['*', 'constructor', '-', 'pt'], OFFERED, 'en')).toBe('pt');
    expect(chooseLocale(['de_AT.UTF-8', 'pt'], OFFERED, 'en')).toBe('de');
  });

  it('[T1] then any locale of the same language in the site’s order, else the site’s default', () => {
    expect(chooseLocale(['pt-PT'], ['en', 'pt-BR', 'pt-AO'], 'en')).toBe('pt-BR');
    expect(chooseLocale(['fr'], OFFERED, 'de')).toBe('de');
    expect(chooseLocale(['en-x-moon', ''], OFFERED, 'de')).toBe('en');
  });
});
