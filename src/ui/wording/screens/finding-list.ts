/** What the list of findings says around them. */
export const FINDING_LIST_WORDS = {
  showOnlyProblems: 'Show only problems',
  showSuggestions: (count: number) => (count === 1 ? 'Show 1 suggestion' : `Show ${count} suggestions`),
  dismissedCount: (count: number) => `${count} dismissed`,
  dismissed: 'Dismissed',
  dismissedBy: (personName: string, reason: string) => `Dismissed by ${personName}: “${reason}”`,
  fixThisFirst: 'Fix this first',
  dismiss: 'Dismiss',
  reason: 'Reason',
  reasonHelp: 'For anyone who looks at this later.',
};
