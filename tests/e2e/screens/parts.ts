import { button, textbox } from './find';

export const partsScreen = {
  remove: button('Take it away'),
  takeBack: button('Take back'),
  earlier: button('Earlier'),
  name: textbox('Name'),
  anyClose: button(/^Close/),
  close: button('Close'),
  undo: button('Undo'),
  cancel: button('Not yet'),
};
