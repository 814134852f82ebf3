import { button, heading, label, link, region } from './find';

export const todayScreen = {
  findings: region(/^(To fix|Suggestions)$/),
  dismiss: button('Dismiss'),
  reason: label('Reason'),
  dismissed1: button('1 dismissed'),
  moreSuggestions: button(/^Show \d+ suggestions?$/),
  openFinding: link(/^Show (me|changes)$/),
  heading: heading('Today'),
  suggestions: button(/^Show \d+ suggestions?$/),
  openPlace: link('Open place'),
};
