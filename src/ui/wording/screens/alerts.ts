/** What is said of questions that come while somebody is elsewhere, and how they are told. */
export const ALERTS_WORDS = {
  askTitle: 'A visitor has a question',
  askHelp:
    'Should this browser notify you when the next one comes, even while you use another tab or program?',
  yes: 'Yes, notify me',
  no: 'No, thanks',
  later: 'You can turn notifications on at any time in My account.',
  nowOn: 'This browser will notify you.',
  refused: 'Your browser blocks notifications. My account tells you how to change that.',

  aVisitor: 'A visitor',
  asksOn: (who: string, site: string) => `${who} asks ${site}`,
  manyAsked: (count: number, site: string) => `${count} visitors have asked ${site}`,
  wordsHidden: 'Click to read it and answer.',

  title: 'When a question comes',
  lead: 'You hear of it while you are answering, and only when a visitor has really sent something.',
  allow: 'Allow notifications in this browser',
  allowHelp: 'Your browser will ask you once.',
  show: 'Notify me when Sunny Porch is not the window in front of me',
  words: 'Show what the visitor wrote',
  wordsHelp: 'Others may see your screen.',
  blocked: 'This browser blocks notifications from Sunny Porch',
  blockedHelp:
    'Click the icon to the left of the address, set Notifications to Allow, and come back. This page notices by itself.',
  none: 'This browser can’t show notifications of Sunny Porch. A computer can, at an address that begins with https.',
  sound: 'Sound',
  sounds: { knock: 'Knock', bell: 'Bell', drops: 'Drops' },
  noSound: 'No sound',
  soundHelp:
    'You hear each one as you choose it. After a reload, a browser stays silent until you click in the tab.',
  scope: 'Which questions',
  scopes: { 'my-teams': 'Those for my teams, or for no team', all: 'All questions' },
  again: 'If nobody has answered',
  againNever: 'Don’t tell me again',
  againAfter: (minutes: number) => `Tell me again every ${minutes} minutes`,
  quiet: 'Quiet hours',
  quietHelp: 'By the clock of the device you use.',
  quietOn: 'Don’t tell me of questions at certain hours',
};
