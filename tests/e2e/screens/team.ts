import { button, heading, label } from './find';

export const teamScreen = {
  inesHeading: heading(/Inês Matos/),
  photoOfInes: label('A picture of Inês Matos'),
  changePhoto: button('Change photo'),
};
