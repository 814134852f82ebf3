import { button, label, log, menuitem, menuitemradio, navigation, region, type Scope } from './find';

export const conversationsScreen = {
  list: navigation('Conversations'),
  formBefore: region('Filled in before the chat'),
  row: (words: string) => (within: Scope) => within.locator('a[data-conversation]', { hasText: words }),
  reply: label('Write'),
  send: button('Send', { exact: true }),
  end: button('End', { exact: true }),
  moreWays: button('More ways to send'),
  sendAndEnd: menuitem('Send and end'),
  ctrlEnterSends: menuitemradio(/^Ctrl\+Enter sends/),
  undoEnd: (within: Scope) => button('Undo')(region(/^Conversation with/)(within)),
  formAfter: region('Filled in after the chat'),
  messages: log('Messages'),
  yourTurn: region(/^Your turn/),
  visitorNow: region('The visitor now'),
  notes: region(/^Notes/),
  done: region(/^Done/),
  markDone: button('Mark as done'),
  withSomebody: region(/^Conversation with/),
  backToAll: button('‹ All'),
};
