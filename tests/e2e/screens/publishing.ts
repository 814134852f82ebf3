import { button, radio, text, textbox } from './find';

export const publishingScreen = {
  fromNextPageView: text(/^Version \d+, from the next page view on\.$/),
  publish: button('Publish', { exact: true }),
  isLive: text(/Version \d+ is live\./),
  /** Whatever the number of changes. */
  publishChanges: button(/^Publish \d/),
  publishCount: (count: number) => button(`Publish ${count} change${count === 1 ? '' : 's'}`),
  nothing: button('Nothing to publish'),
  anyPublish: button(/^Publish/),
  publishFirst: button('Publish version 1'),
  firstIsLive: text('Version 1 is live.'),
  button: button(/^Publish|^Nothing to publish/),
  temporarily: radio('temporarily, then go back'),
  from: textbox('From'),
  until: textbox('Until'),
  schedule: button('Schedule'),
  isScheduled: text(/^Version \d+ is scheduled for/),
};
