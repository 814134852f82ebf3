import { button, dialog, group, menuitem } from './find';

export const casesScreen = {
  group: group(/: wording for whom$/),
  add: button('+ other wording'),
  returningOption: menuitem('returning'),
  changeReturning: button('Change for whom: returning', { exact: true }),
  editor: dialog('For whom'),
  remove: button('Remove'),
  changeHoliday: button(/^Change for whom: a holiday/),
};
