import { button, checkbox, combobox, label, option, radio, region } from './find';

export const alertsScreen = {
  /** Asked once, when there is a reason. */
  ask: region('A visitor has a question'),
  yes: button('Yes, notify me'),
  no: button('No, thanks'),
  part: region('When a question comes'),
  allow: button('Allow notifications in this browser'),
  words: checkbox('Show what the visitor wrote'),
  bell: radio('Bell'),
  all: radio('All questions'),
  again: combobox('If nobody has answered'),
  everyTwoMinutes: option('Tell me again every 2 minutes'),
  quiet: checkbox('Don’t tell me of questions at certain hours'),
  from: label('From', { exact: true }),
  until: label('Until', { exact: true }),
};
