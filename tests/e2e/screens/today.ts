import { button, heading, link, region } from './find';

export const todayScreen = {
  findings: region('Loose boards'),
  dismiss: button('Put aside'),
  dismissed1: button('1 put aside'),
  moreSuggestions: button(/more worth a look/),
  openFinding: link('Look at them'),
  heading: heading('Today'),
  suggestions: button('more worth a look'),
  openPlace: link('Look at the place'),
};
