/** What *Say hello to yourself* says. */
export const PRACTICE_WORDS = {
  notStarted: 'It could not be started. Try again.',
  howItWorks: 'Write as a visitor on the left, then answer as yourself on the right.',
  beforeYouStart:
    'Nobody else sees it, nothing is counted, and you remove it with one click. You start answering, so visitors of your site see that somebody is here.',
  start: 'Start answering and practise',
  notRemoved: 'It could not be removed. Try again.',
  stepWrite: 'Open the launcher on the left and write something.',
  stepAnswer: 'Now answer on the right.',
  remove: 'Remove this conversation',
  done: 'Done',
  theVisitorsPage: 'The visitor’s page',
  yourDesk: 'Your desk',
  deskEmpty: 'Your desk: what the visitor writes appears here.',
};
