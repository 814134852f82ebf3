import { describe, expect, it } from 'vitest';
import { localeTable } from '../publish/locale-table';
import { chooseLocale } from './locale';

const OFFERED = ['en', 'pt', 'pt-BR', 'de', 'ar'];

const chosen = (wishes: readonly string[], offered: readonly string[], siteDefault = 'en'): string =>
  chooseLocale(wishes, localeTable(offered, siteDefault), siteDefault);

describe('chooseLocale', () => {
  it('[T1] a wish is met exactly, whatever its case, before its language is', () => {
    expect(chosen(['PT-br'], OFFERED)).toBe('pt-BR');
    expect(chosen(['pt'], OFFERED)).toBe('pt');
    expect(chosen(['ar-EG'], ['en', 'ar', 'ar-EG'])).toBe('ar-EG');
    expect(chosen(['de-AT-1996'], OFFERED)).toBe('de');
  });

  it('[T1] a preferred language is followed to its end before the next one is heard', () => {
    expect(chosen(['de-CH', 'pt'], OFFERED)).toBe('de');
    expect(chosen(['fi', 'ar-EG', 'pt'], OFFERED)).toBe('ar');
  });

  it('[T1] a script goes before a region: Hong Kong reads traditional signs', () => {
    expect(chosen(['zh-HK'], ['en', 'zh', 'zh-Hant'])).toBe('zh-Hant');
    expect(chosen(['zh-HK'], ['en', 'zh-CN', 'zh-TW'])).toBe('zh-TW');
    expect(chosen(['zh-SG'], ['en', 'zh-TW', 'zh-CN'])).toBe('zh-CN');
  });

  it('[T1] another script of the language is shown only to those who read both', () => {
    expect(chosen(['zh-Hant-HK'], ['en', 'zh'])).toBe('en');
    expect(chosen(['sr-Latn'], ['en', 'sr'])).toBe('sr');
    expect(chosen(['sr-ME', 'en'], ['en', 'sr', 'sr-Latn'])).toBe('sr-Latn');
  });

  it('[T1] the nearest region: Mexico reads as Argentina does, Australia as Britain, Angola as Portugal', () => {
    expect(chosen(['es-MX'], ['en', 'es', 'es-AR'])).toBe('es-AR');
    expect(chosen(['en-AU'], ['en', 'en-GB'])).toBe('en-GB');
    expect(chosen(['en-CA'], ['en-GB', 'en'])).toBe('en');
    expect(chosen(['pt-AO'], OFFERED)).toBe('pt');
    expect(chosen(['pt-AO'], ['en', 'pt', 'pt-PT'])).toBe('pt-PT');
  });

  it('[T1] of several regions as near the site’s order decides', () => {
    expect(chosen(['es'], ['en', 'es-MX', 'es-AR'])).toBe('es-MX');
    expect(chosen(['es'], ['en', 'es-AR', 'es-MX'])).toBe('es-AR');
  });

  it('[T1] a language that is not offered goes to one its readers read, after all wishes were heard', () => {
    expect(chosen(['ca'], ['en', 'es'])).toBe('es');
    expect(chosen(['ca', 'pt'], ['en', 'es', 'pt'])).toBe('pt');
    expect(chosen(['nb'], ['en', 'no'])).toBe('no');
    expect(chosen(['no'], ['en', 'nb'])).toBe('nb');
    expect(chosen(['fi'], OFFERED, 'de')).toBe('de');
  });

  it('[T1] reads what is written with an underscore or in an earlier way, and is not led astray by what is no tag', () => {
    expect(chosen(['pt_BR'], OFFERED)).toBe('pt-BR');
    expect(chosen(['iw'], ['en', 'he'])).toBe('he');
    expect(chosen(['*', 'constructor', '-', '', 'und', 'pt'], OFFERED)).toBe('pt');
    expect(chosen(['de_AT.UTF-8', 'pt'], OFFERED)).toBe('de');
    expect(chosen(['en-x-moon'], OFFERED, 'de')).toBe('en');
    expect(chosen(['pt', 'de-1'], ['en', 'de-1', 'pt'])).toBe('pt');
    expect(chosen(['de-1'], ['en', 'de-1'])).toBe('en');
    expect(chosen(['xx-YY'], ['en', 'xx'])).toBe('xx');
  });
});
