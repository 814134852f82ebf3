import { dayOf } from '../core/hours/days';
import type { Condition, ConditionBody, When } from '../core/model/condition';
import type { Design, Widget } from '../core/model/design';
import type { PageRule } from '../core/model/page-rule';
import { withStartingLook } from '../core/look/starting-looks';
import type { PictureRef } from '../core/model/look';
import type { Invitation } from '../core/model/invitation';
import { afterLoan, beforeLoan, schoolForm } from './forms';
import { words } from './words';

/** What the demo's design needs to name. */
export interface DemoNames {
  readonly teams: { readonly night: string; readonly schools: string; readonly loans: string };
  readonly calendars: { readonly night: string; readonly office: string };
  /** Of the school visits. */
  readonly logo: PictureRef;
}

/** The observatory's design: three widgets, six invitations, cases and forms in four languages. */
export function demoDesign(base: Design, { teams, calendars, logo }: DemoNames, ids: () => string): Design {
  const [first] = base.widgets;
  if (first === undefined) throw new Error('Expected a design with a widget.');
  const rule = (kind: PageRule['kind'], text: string): PageRule => ({
    id: ids(),
    kind,
    part: 'path',
    text,
    ignoresCase: false,
  });
  const made = { ids, rule };
  return {
    ...base,
    locales: ['en', 'pt', 'de', 'ar'],
    widgets: [
      mainWidget(first, { ...made, team: teams.night, calendar: calendars.night }),
      schools(dressedForSchools(first, logo), { ...made, team: teams.schools, calendar: calendars.office }),
      telescopes(first, { ...made, team: teams.loans, calendar: null }),
    ],
  };
}

interface Making {
  readonly ids: () => string;
  readonly rule: (kind: PageRule['kind'], text: string) => PageRule;
  readonly team: string;
  readonly calendar: string | null;
}

function mainWidget(first: Widget, { ids, rule, team, calendar }: Making): Widget {
  return {
    ...first,
    teams: [team],
    calendarId: calendar,
    pages: {
      showOn: [],
      neverOn: [
        rule('exact', '/privacy'),
        rule('begins-with', '/groups/'),
        rule('wildcard', '/telescopes/**'),
      ],
    },
    texts: {
      ...first.texts,
      en: { ...first.texts['en'], greeting: 'Good evening. What would you like to know about the night?' },
    },
    cases: [
      {
        id: ids(),
        key: 'greeting',
        when: [
          ['visit', 'returning'],
          ['language', 'pt'],
        ],
        texts: { pt: 'Bem-vindo de volta à ilha. O que quer saber da noite?' },
        without: {},
      },
      {
        id: ids(),
        key: 'nobodyHome',
        when: [['closed-by', 'break']],
        texts: words(
          'We are carrying the telescopes out, back at {openingTime, time, short}. Leave a note and we will answer by e-mail.',
          'Estamos a levar os telescópios para fora, voltamos às {openingTime, time, short}. Deixe uma nota e respondemos por e-mail.',
          'Wir tragen gerade die Fernrohre hinaus und sind um {openingTime, time, short} zurück. Hinterlassen Sie eine Notiz, wir antworten per Mail.',
          'نحن نُخرج التلسكوبات الآن، ونعود عند {openingTime, time, short}. اترك ملاحظة وسنجيبك بالبريد.',
        ),
        without: words(
          'On a break just now.',
          'Em pausa neste momento.',
          'Gerade ist Pause.',
          'استراحة قصيرة الآن.',
        ),
      },
    ],
    invitations: [
      ...first.invitations
        .filter(({ defaultText }) => defaultText === 'invitation.backAgain')
        .map((one) => ({ ...one, isOn: true })),
      invitation(
        ids(),
        'Clear skies',
        when(
          { kind: 'page', rules: [rule('ends-with', '/tonight')] },
          { kind: 'on-page', seconds: 40 },
          SOMEONE,
        ),
        {
          texts: words(
            'Clear skies tonight. Shall we tell you how to get up here?',
            'Céu limpo esta noite. Quer que expliquemos como chegar cá acima?',
            'Heute Nacht ist es klar. Sollen wir sagen, wie man hier heraufkommt?',
            'السماء صافية الليلة. هل نشرح لك كيف تصعد إلينا؟',
          ),
        },
      ),
      invitation(
        ids(),
        'Last ferry',
        when(
          { kind: 'page', rules: [rule('ends-with', '/getting-here')] },
          { kind: 'scrolled', percent: 90 },
          { kind: 'week-time', days: [2, 3, 4, 5, 6], from: 17 * 60, to: 60 },
          SOMEONE,
        ),
        {
          texts: words(
            'Wondering whether you catch the last ferry back? We know tonight’s times.',
            'Não sabe se apanha o último barco de volta? Sabemos os horários de hoje.',
            'Unsicher, ob Sie die letzte Fähre erreichen? Wir kennen die Zeiten von heute.',
            'هل تتساءل إن كنت ستلحق بآخر عبّارة؟ نحن نعرف مواعيد الليلة.',
          ),
        },
      ),
      invitation(
        ids(),
        'Eclipse',
        when(
          { kind: 'page', rules: [rule('exact', '/eclipse-2027')] },
          { kind: 'dates', from: dayOf(2027, 7, 20), to: dayOf(2027, 8, 3) },
          { kind: 'on-page', seconds: 20 },
        ),
        {
          approach: 'open',
          texts: words(
            'Two minutes of night at noon. Ask us anything.',
            'Dois minutos de noite ao meio-dia. Pergunte-nos tudo.',
            'Zwei Minuten Nacht am Mittag. Fragen Sie uns alles.',
            'دقيقتان من الليل عند الظهر. اسألنا ما تشاء.',
          ),
        },
      ),
    ],
  };
}

/** White and quiet, with the dome: teachers print their pages. */
function dressedForSchools(first: Widget, logo: PictureRef): Widget {
  const dressed = withStartingLook(first, 'whitewash');
  return { ...dressed, look: { ...dressed.look, logo } };
}

function schools(first: Widget, { ids, rule, team, calendar }: Making): Widget {
  return {
    ...first,
    id: ids(),
    key: 'schools',
    name: 'School visits',
    teams: [team],
    calendarId: calendar,
    pages: { showOn: [rule('begins-with', '/groups/')], neverOn: [rule('exact', '/groups/schools/request')] },
    texts: {
      en: { greeting: 'Bringing a class? Ask us anything about the visit.' },
      pt: { greeting: 'Vem com uma turma? Pergunte-nos tudo sobre a visita.' },
      de: { greeting: 'Sie kommen mit einer Klasse? Fragen Sie uns alles zum Besuch.' },
      ar: { greeting: 'هل ستأتي مع صف؟ اسألنا عن كل ما يخص الزيارة.' },
    },
    forms: { before: [], note: schoolForm(ids), after: [] },
    invitations: [
      invitation(ids(), 'Class dates', when({ kind: 'idle', seconds: 25 }, SOMEONE), {
        approach: 'stir',
        texts: words(
          'Looking for a date?',
          'À procura de uma data?',
          'Suchen Sie einen Termin?',
          'هل تبحث عن موعد؟',
        ),
      }),
    ],
  };
}

function telescopes(first: Widget, { ids, rule, team, calendar }: Making): Widget {
  return {
    ...first,
    id: ids(),
    key: 'telescopes',
    name: 'Telescope loans',
    teams: [team],
    calendarId: calendar,
    pages: { showOn: [rule('expression', '^/telescopes(/loan)?$')], neverOn: [] },
    texts: {
      en: { greeting: 'Which telescope would you like to take home?' },
      pt: { greeting: 'Que telescópio gostaria de levar para casa?' },
      de: { greeting: 'Welches Fernrohr möchten Sie mit nach Hause nehmen?' },
      ar: { greeting: 'أي تلسكوب تود أن تأخذه معك إلى البيت؟' },
    },
    forms: { ...first.forms, before: beforeLoan(ids), after: afterLoan(ids) },
    invitations: [
      invitation(ids(), 'Loan form left', when({ kind: 'form-left' }, SOMEONE), {
        texts: words(
          'Stuck with the loan form? We fill it in with you.',
          'Ficou preso no formulário? Preenchemo-lo consigo.',
          'Hängt es am Leihformular? Wir füllen es mit Ihnen aus.',
          'هل تعثّرت في استمارة الإعارة؟ نملؤها معك.',
        ),
      }),
    ],
  };
}

const SOMEONE: ConditionBody = { kind: 'state', states: ['in', 'nearby'] };

function when(...bodies: ConditionBody[]): When {
  return { join: 'all', items: bodies.map((body): Condition => ({ ...body, isNot: false })) };
}

function invitation(id: string, name: string, conditions: When, change: Partial<Invitation>): Invitation {
  return {
    id,
    name,
    isOn: true,
    approach: 'speak',
    opensOnPhones: false,
    when: conditions,
    oncePer: { kind: 'page' },
    atMost: null,
    defaultText: null,
    texts: {},
    ...change,
  };
}
