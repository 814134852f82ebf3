import { button, textbox } from './find';

export const partsScreen = {
  remove: button(/^Remove( photo)?$/),
  takeBack: button(/^(Bring back|Undo step)$/),
  earlier: button('Earlier'),
  name: textbox('Name'),
  anyClose: button(/^Close/),
  close: button('Close'),
  undo: button('Undo'),
  cancel: button('Cancel'),
};
