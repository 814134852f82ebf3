/** What the parts say that several screens share. */
export const PART_WORDS = {
  sayHelloHelp: 'See both sides of a conversation.',
  putItOnYourSiteHelp: 'Paste one line, once.',
  makeItYours: 'Make it look like you',
  makeItYoursHelp: 'Six starting looks, in your colour.',
  firstSteps: 'First steps',
  yourWidgetIsReady: 'Your widget is ready',
  firstStepsHelp: 'Visitors see it when you publish. Three things, in any order:',
  closeFirstSteps: 'Close: first steps',
  save: 'Save',
  copyRefused: 'Your browser did not allow copying. Select the text and copy it yourself.',
  copied: 'Copied',
  copy: 'Copy',
  notSent: 'It could not be sent. Nothing was changed; try again.',
};
