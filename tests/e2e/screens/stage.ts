import { button, dialog, radio, text } from './find';

export const stageScreen = {
  backdropDrawn: button('Behind the widget: a page we draw'),
  backdropMenu: dialog('Behind the widget'),
  backdropPicture: radio(/^A picture of your page/),
  notAPicture: text('That is not a PNG, JPEG or WebP picture. Nothing was stored', { exact: false }),
  backdropPictured: button('Behind the widget: a picture'),
  backdropFramed: radio('Your page itself'),
  closeUp: button(/^Close-up/),
  wholePage: button(/^Whole page/),
};
