/** What *Say hello to yourself* says. */
export const PRACTICE_WORDS = {
  notStarted: 'It could not be started. Try again.',
  howItWorks: 'Write as a visitor, then answer as yourself. You see both sides at once.',
  beforeYouStart:
    'Nobody else sees it, nothing is counted, and you remove it with one click. You start answering, so visitors of your site see that somebody is here.',
  start: 'Start answering and practise',
  notRemoved: 'It could not be removed. Try again.',
  stepWrite: 'Open the launcher and write something, as a visitor.',
  stepAnswer: 'Now answer, as yourself.',
  remove: 'Remove this conversation',
  done: 'Done',
  theVisitorsPage: 'The visitor’s page',
  yourDesk: 'Your desk',
  deskEmpty: 'Your desk: what the visitor writes appears here.',
};
