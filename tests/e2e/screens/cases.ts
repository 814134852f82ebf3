import { button, dialog, group, menuitem } from './find';

export const casesScreen = {
  group: group(/who hears what$/),
  add: button('+ for somebody else'),
  returningOption: menuitem('returning'),
  changeReturning: button('Change the case: returning', { exact: true }),
  editor: dialog('When it is said'),
  remove: button('Take away'),
  changeHoliday: button(/^Change the case: a holiday/),
};
