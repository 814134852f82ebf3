import { button, dialog, group, radio, text } from './find';

export const stageScreen = {
  backdropDrawn: button('Behind the widget: a page we draw'),
  backdropMenu: dialog('Behind the widget'),
  backdropPicture: radio(/^A picture of your page/),
  notAPicture: text('That is not a PNG, JPEG or WebP picture. Nothing was stored', { exact: false }),
  devices: group('Device'),
  backdropPictured: button('Behind the widget: a picture'),
  backdropFramed: radio('Your page itself'),
  wholePage: button('Whole page'),
  phone: button('Phone', { exact: true }),
  desktop: button('Desktop', { exact: true }),
};
