import type { Answerer, PublishedSite } from '../wire/published-site';

/** What is said on the stage where nothing real is: one question and one answer per language. */
const SAMPLES: Readonly<Record<string, { question: string; answer: string; name: string }>> = {
  en: {
    question: 'Does it still start at ten if it is cloudy?',
    answer: 'It does. With clouds we begin indoors, and go out as soon as it clears.',
    name: 'Inês',
  },
  pt: {
    question: 'Se estiver nublado, começa na mesma às dez?',
    answer: 'Começa. Com nuvens começamos lá dentro e saímos assim que o céu abrir.',
    name: 'Inês',
  },
  de: {
    question: 'Fängt es auch bei Wolken um zehn an?',
    answer: 'Ja. Bei Wolken beginnen wir drinnen und gehen hinaus, sobald es aufklart.',
    name: 'Inês',
  },
  ar: {
    question: 'هل يبدأ البرنامج في العاشرة حتى لو كان الجو غائمًا؟',
    answer: 'نعم. إن كانت هناك غيوم نبدأ في الداخل، ثم نخرج عندما تصفو السماء.',
    name: 'إينيس',
  },
};

/** Who answers in what is drawn of a site. */
export function answererOf({ answerer, design }: Pick<PublishedSite, 'answerer' | 'design'>): Answerer {
  return answerer ?? { name: sampleIn(design.locale).name, face: null };
}

/** The sample of a locale's language; English where there is none. */
export function sampleIn(locale: string): { question: string; answer: string; name: string } {
  return (
    SAMPLES[locale.split('-')[0] ?? ''] ??
    (SAMPLES['en'] as { question: string; answer: string; name: string })
  );
}
