/** What *Today* says. */
export const TODAY_WORDS = {
  loadingToday: 'Loading today',
  live: (version: number, isPaused: boolean) =>
    `Version ${version} is live${isPaused ? ', and paused' : ''}.`,
  answer: 'Answer',
  visitorsWait: (count: number) =>
    count === 1 ? 'One visitor has waited' : `${count} visitors are waiting, the longest for`,
  missed: 'Missed',
  questionsMissed: (count: number) =>
    count === 1 ? 'One question was not answered in time.' : `${count} questions were not answered in time.`,
  open: 'Open',
  notesNeedAnswers: (count: number) =>
    count === 1 ? 'One note needs an answer.' : `${count} notes need an answer.`,
  onTheSite: 'On the site',
  showChanges: 'Show changes',
  notPublished: (count: number) =>
    count === 1 ? 'One change is not published.' : `${count} changes are not published.`,
  allQuiet: 'All quiet. Nothing needs you.',
};
