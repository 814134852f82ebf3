import { button, label, log, navigation, region } from './find';

export const conversationsScreen = {
  list: navigation('Conversations'),
  formBefore: region('Filled in before the chat'),
  reply: label('Write'),
  send: button('Send', { exact: true }),
  end: button('End', { exact: true }),
  confirmEnd: button('End conversation'),
  formAfter: region('Filled in after the chat'),
  messages: log('Messages'),
  notes: region(/^Notes/),
  withSomebody: region(/^Conversation with/),
};
