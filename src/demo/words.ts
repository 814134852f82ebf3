/** One text in the demo's four languages. */
export type Words = Readonly<Record<'en' | 'pt' | 'de' | 'ar', string>>;

export const words = (en: string, pt: string, de: string, ar: string): Words => ({ en, pt, de, ar });
