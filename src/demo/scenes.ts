/** A made-up conversation of the demo. `page` is a path of the observatory's site. */
export interface Scene {
  readonly locale: 'en' | 'pt' | 'de' | 'ar';
  readonly daysAgo: number;
  readonly hoursAgo: number;
  readonly minutesAgo?: number;
  readonly name?: string;
  readonly mail?: string;
  readonly lines: readonly {
    readonly by: 'visitor' | 'note' | 'ines' | 'rui';
    readonly text: string;
    readonly page: string;
  }[];
  readonly endedBy?: 'visitor' | 'person';
}

export const SCENES: readonly Scene[] = [
  {
    locale: 'en',
    daysAgo: 6,
    hoursAgo: 2,
    endedBy: 'visitor',
    lines: [
      {
        by: 'visitor',
        text: 'Is there a ferry back after the midnight look on Saturday?',
        page: '/visit/getting-here',
      },
      {
        by: 'ines',
        text: 'There is: 00:40 on Saturdays. If we run late we ring the boat, and it waits ten minutes.',
        page: '/',
      },
      { by: 'visitor', text: 'Lovely, then we come on Saturday. Thank you!', page: '/visit/getting-here' },
    ],
  },
  {
    locale: 'de',
    daysAgo: 4,
    hoursAgo: 3,
    endedBy: 'person',
    lines: [
      {
        by: 'visitor',
        text: 'Guten Abend, wie viele Kinder dürfen mit einer Klasse kommen?',
        page: '/de/visit/night-programme',
      },
      {
        by: 'rui',
        text: 'Guten Abend! Bis zu achtundzwanzig, mit einer erwachsenen Person je acht Kinder.',
        page: '/',
      },
      { by: 'visitor', text: 'Perfekt, wir sind sechsundzwanzig.', page: '/de/visit/night-programme' },
    ],
  },
  {
    locale: 'pt',
    daysAgo: 2,
    hoursAgo: 5,
    name: 'Joana Sequeira',
    mail: 'joana.sequeira@example.org',
    lines: [
      {
        by: 'note',
        text: 'Boa noite. Gostava de pedir um telescópio emprestado para a última semana de agosto. Ainda há algum livre?',
        page: '/telescopes/loan',
      },
    ],
  },
  {
    locale: 'en',
    daysAgo: 1,
    hoursAgo: 1,
    name: 'Peter Lindqvist',
    mail: 'p.lindqvist@example.org',
    lines: [
      {
        by: 'note',
        text: 'My mother uses a wheelchair. Which of the evening’s places can she reach, and whom do we tell?',
        page: '/visit/access',
      },
    ],
  },
  {
    locale: 'ar',
    daysAgo: 0,
    hoursAgo: 0,
    minutesAgo: 14,
    lines: [
      { by: 'visitor', text: 'مساء الخير، هل نحتاج إلى حجز لمشاهدة الكسوف؟', page: '/eclipse-2027' },
      { by: 'ines', text: 'مساء النور! لا حاجة إلى الحجز، فالمرج مفتوح للجميع منذ الصباح.', page: '/' },
    ],
  },
  {
    locale: 'en',
    daysAgo: 0,
    hoursAgo: 0,
    minutesAgo: 4,
    lines: [
      {
        by: 'visitor',
        text: 'Does tonight start at ten even if it is cloudy? We are deciding about the ferry.',
        page: '/tonight',
      },
    ],
  },
];
