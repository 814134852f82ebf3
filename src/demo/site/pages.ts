import { ferryMap, nightSky, telescope } from './drawings';

/** One page of Farrow Isle Observatory. Everything on it is made up. */
export interface SitePage {
  readonly path: string;
  readonly lang: 'en' | 'pt' | 'de';
  readonly title: string;
  readonly body: string;
}

const NIGHTS = [
  [
    '1',
    'Dust on the Milky Way',
    'A still night. The lawn telescopes showed the dark lanes down to the horizon, and somebody counted eleven meteors before the tea ran out.',
  ],
  [
    '2',
    'Clouds, then Saturn',
    'Two hours of clouds spent indoors with the mirror-grinding table; at 23:40 the sky opened and Saturn was waiting.',
  ],
  [
    '3',
    'The shearwaters',
    'We kept the lamps low for the fledglings on their way to the sea. Nine were found on the path and carried down to the quay.',
  ],
  [
    '4',
    'A class of twenty-six',
    'School night. The favourite object was the double star in Cygnus, because "it is two and nobody told us".',
  ],
  [
    '5',
    'First light of the small dome',
    'The small dome is back. Its first guest was a volunteer of eighty-one, who had helped to build it.',
  ],
] as const;

const ENGLISH: readonly Omit<SitePage, 'lang'>[] = [
  {
    path: '/',
    title: 'The night is open',
    body: `${nightSky('home', 'The dome under the stars')}<h1>The night is open</h1><p>Farrow Isle Observatory is a small public observatory on a small island. We open the dome from Wednesday to Sunday, as soon as it is dark, and show whoever comes what is up there.</p><p><a href="/tonight">What we look at tonight</a>, <a href="/visit/getting-here">how to get here</a>, and <a href="/groups/schools">how to come with a class</a>.</p>`,
  },
  {
    path: '/tonight',
    title: 'Tonight on the isle',
    body: `<h1>Tonight on the isle</h1><p>Dome opens 21:30. Three telescopes on the lawn. The moon sets at 23:05, so the Milky Way comes out after that.</p>${nightSky('tonight', 'Tonight’s sky over the ridge')}<h2>Programme</h2><table><tr><th>21:30</th><td>Dome opens; Saturn</td></tr><tr><th>22:00</th><td>Walk through the sky with the naked eye</td></tr><tr><th>23:15</th><td>Milky Way on the lawn</td></tr><tr><th>00:30</th><td>Last look; the lamps go on along the path at 01:00</td></tr></table><p>With clouds we begin indoors and go out as soon as it clears.</p>`,
  },
  {
    path: '/visit/getting-here',
    title: 'Getting here',
    body: `<h1>Getting here</h1>${ferryMap('The ferry’s way to the island')}<p>The ferry takes forty minutes from the harbour. From the quay it is twenty minutes on foot along the lamp-lit path, or five by the island’s one minibus.</p><h2>The last ferry back</h2><p>Wednesday to Friday 23:50, Saturday and Sunday 00:40. If the show runs late we ring the boat; it waits ten minutes.</p>`,
  },
  {
    path: '/visit/night-programme',
    title: 'Night programme',
    body: `<h1>Night programme</h1><p>Each night has a theme: planets on Wednesday, double stars on Thursday, the Milky Way on Friday, requests on Saturday, and a quiet night with long looks on Sunday.</p><h2>Bring</h2><p>A warm layer, also in August; a torch only if it is red.</p>`,
  },
  {
    path: '/visit/access',
    title: 'Access',
    body: `<h1>Access</h1><p>The lawn and the lecture room are level. The dome has fourteen steps; on the lawn the same view is on a screen, live from the eyepiece. Tell us before, and we set a telescope at sitting height.</p>`,
  },
  {
    path: '/groups/schools',
    title: 'School visits',
    body: `<h1>School visits</h1><p>Classes come on Thursday afternoons with the sun, or stay for the first hour of the night. Up to twenty-eight children; one grown-up for every eight.</p><p><a href="/groups/schools/request">Ask for a date</a></p>`,
  },
  {
    path: '/groups/schools/request',
    title: 'Ask for a date',
    body: `<h1>Ask for a date</h1><form action="/groups/schools/request" method="get"><label for="school">School</label><input id="school" name="school"><label for="size">How many children</label><input id="size" name="size" type="number" min="1" max="28"><label for="when">Which weeks suit you</label><textarea id="when" name="when" rows="3"></textarea><br><button type="submit">Send the request</button></form>`,
  },
  {
    path: '/telescopes',
    title: 'Our telescopes',
    body: `<h1>Our telescopes</h1>${telescope('A small telescope on its stand')}<p>The big one in the dome has a mirror of sixty centimetres. Three smaller ones stand on the lawn, and nine go out on loan.</p>`,
  },
  {
    path: '/telescopes/loan',
    title: 'Borrow a telescope',
    body: `<h1>Borrow a telescope</h1>${telescope('A loan telescope')}<p>Nine small telescopes go home with islanders and visitors, for two weeks at a time. A deposit, an hour of showing, and they are yours until the new moon.</p><form action="/telescopes/loan" method="get"><label for="borrower">Your name</label><input id="borrower" name="borrower"><label for="from">From which evening</label><input id="from" name="from" type="date"><br><button type="submit">Ask for a telescope</button></form>`,
  },
  {
    path: '/eclipse-2027',
    title: 'The eclipse of 2027',
    body: `${nightSky('eclipse', 'A dark day over the island')}<h1>The eclipse of 2027</h1><p>On 2 August 2027 the moon covers a part of the sun over our island. We open the lawn from the morning, with filters for everybody.</p>`,
  },
  {
    path: '/volunteer',
    title: 'Volunteer',
    body: `<h1>Volunteer</h1><p>We need people who show, people who count shearwaters, and people who make tea. Come on a Sunday and ask for Marta.</p>`,
  },
  {
    path: '/sky-log/',
    title: 'Sky log',
    body: `<h1>Sky log</h1><p>What was seen, night by night.</p><ul>${NIGHTS.map(([number, title]) => `<li><a href="/sky-log/${number}">${title}</a></li>`).join('')}</ul>`,
  },
  ...NIGHTS.map(([number, title, text]) => ({
    path: `/sky-log/${number}`,
    title,
    body: `${nightSky(`night ${number}`, title)}<h1>${title}</h1><p>${text}</p><p><a href="/sky-log/">All nights</a></p>`,
  })),
  {
    path: '/privacy',
    title: 'Privacy',
    body: `<h1>Privacy</h1><p>We keep what you write to us for a year, to answer you, and nothing else. This page carries no conversation window.</p>`,
  },
];

const PORTUGUESE: readonly Omit<SitePage, 'lang'>[] = [
  {
    path: '/pt/',
    title: 'A noite está aberta',
    body: `${nightSky('home', 'A cúpula sob as estrelas')}<h1>A noite está aberta</h1><p>O Observatório da Ilha Farrow é um pequeno observatório público numa pequena ilha. Abrimos a cúpula de quarta a domingo, assim que escurece.</p>`,
  },
  {
    path: '/pt/tonight',
    title: 'Esta noite na ilha',
    body: `<h1>Esta noite na ilha</h1><p>A cúpula abre às 21:30. Três telescópios no relvado. A lua põe-se às 23:05; depois aparece a Via Láctea.</p>${nightSky('tonight', 'O céu desta noite')}`,
  },
  {
    path: '/pt/visit/getting-here',
    title: 'Como chegar',
    body: `<h1>Como chegar</h1>${ferryMap('O percurso do barco')}<p>O barco demora quarenta minutos desde o porto. O último regresso é às 23:50 de quarta a sexta, e às 00:40 ao sábado e domingo.</p>`,
  },
  {
    path: '/pt/visit/night-programme',
    title: 'Programa da noite',
    body: `<h1>Programa da noite</h1><p>Planetas à quarta, estrelas duplas à quinta, Via Láctea à sexta, pedidos ao sábado e olhares demorados ao domingo.</p>`,
  },
];

const GERMAN: readonly Omit<SitePage, 'lang'>[] = [
  {
    path: '/de/',
    title: 'Die Nacht ist offen',
    body: `${nightSky('home', 'Die Kuppel unter den Sternen')}<h1>Die Nacht ist offen</h1><p>Die Sternwarte Farrow ist eine kleine öffentliche Sternwarte auf einer kleinen Insel. Von Mittwoch bis Sonntag öffnen wir die Kuppel, sobald es dunkel ist.</p>`,
  },
  {
    path: '/de/tonight',
    title: 'Heute Nacht auf der Insel',
    body: `<h1>Heute Nacht auf der Insel</h1><p>Die Kuppel öffnet um 21:30. Drei Fernrohre auf der Wiese. Der Mond geht um 23:05 unter; danach kommt die Milchstraße.</p>${nightSky('tonight', 'Der Himmel von heute')}`,
  },
  {
    path: '/de/visit/getting-here',
    title: 'Anreise',
    body: `<h1>Anreise</h1>${ferryMap('Der Weg der Fähre')}<p>Die Fähre braucht vierzig Minuten vom Hafen. Die letzte Rückfahrt geht mittwochs bis freitags um 23:50, am Wochenende um 00:40.</p>`,
  },
  {
    path: '/de/visit/night-programme',
    title: 'Nachtprogramm',
    body: `<h1>Nachtprogramm</h1><p>Mittwoch Planeten, Donnerstag Doppelsterne, Freitag Milchstraße, Samstag nach Wunsch, Sonntag eine stille Nacht mit langen Blicken.</p>`,
  },
];

export const SITE_PAGES: readonly SitePage[] = [
  ...ENGLISH.map((page): SitePage => ({ ...page, lang: 'en' })),
  ...PORTUGUESE.map((page): SitePage => ({ ...page, lang: 'pt' })),
  ...GERMAN.map((page): SitePage => ({ ...page, lang: 'de' })),
];
