import type { Moment } from '../../../src/core/model/moment';
import { MOMENT_WORDS } from '../../../src/ui/wording/moments';
import { button, dialog, heading, list, navigation, region } from './find';

/** The card of a moment, by its name. */
const momentCard = (moment: Moment) => button(new RegExp(`^${MOMENT_WORDS[moment].name}`));

export const pathScreen = {
  moment: (name: string) => button(new RegExp(`^${name}`)),
  invited: momentCard('invited'),
  path: navigation('Path'),
  availability: region('Who can answer?'),
  availabilityCard: button(/^Who can answer/),
  changeAvailability: button('Change who can answer'),
  whole: navigation('Whole path'),
  openWhole: button('Whole path'),
  transitions: list('Transitions'),
  card: dialog('Settings'),
  slowReplyCard: heading('Waiting → Slow reply'),
  print: button('Print'),
  goodbyeCard: heading('Talking → Goodbye'),
  somebodyAnswers: button('Night desk answers'),
  joinedCard: heading('Waiting → Talking'),
  availabilityToNobodyHome: button(/^Who can answer.*Now nobody: Nobody home/),
  backToPath: button(/Back to the path/),
  talking: momentCard('talking'),
  passingBy: momentCard('passing-by'),
  atTheDoor: momentCard('at-the-door'),
  nobodyHome: momentCard('nobody-home'),
  weCloseMeanwhile: button(/the question becomes a note/),
  goodbye: momentCard('goodbye'),
  waiting: momentCard('waiting'),
};
