import { button, link, region, textbox } from './find';

export const practiceScreen = {
  firstSteps: region('First steps'),
  sayHello: link('Say hello to yourself'),
  start: button('Start answering and practise'),
  desk: region('Your desk'),
  write: textbox('Write'),
  remove: button('Remove this conversation'),
};
