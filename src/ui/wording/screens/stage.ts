/** What the stage of *Design* says, with its tools and editors. */
export const STAGE_WORDS = {
  drawnPage: 'a page we draw',
  pictureBehind: 'a picture',
  pageItselfBehind: 'your page',
  behindIs: (kind: string) => `Behind the widget: ${kind}`,
  pageBehind: 'Page behind ▾',
  behindTheWidget: 'Behind the widget',
  aPlaceholderPage: 'A placeholder page',
  pictureOfPage: (isPhone: boolean) => `A picture of your page, on ${isPhone ? 'phones' : 'larger screens'}`,
  yourPageItself: 'Your page itself',
  pageItselfHelp:
    'Shown without its scripts, so nothing is counted. If it stays empty, your site does not let itself be shown inside of another page: use a picture.',
  pictureHelp: (isAnother: boolean, isPhone: boolean) =>
    `${isAnother ? 'Another picture' : 'A picture'} for ${isPhone ? 'phones' : 'larger screens'}: choose it, drop it here or paste it. PNG, JPEG or WebP, up to 5 MB.`,
  yourPage: 'Your page',
  placeHandle: (place: string) => `Place: ${place}. Arrow keys move it, with Shift into the corner.`,
  stage: 'Stage',
  textsOnTheStage: 'Texts on the stage',
  howThePageIsShown: 'How the page is shown',
  distance: 'Distance',
  closeUp: 'Close-up',
  wholePage: 'Whole page',
  restoreOurText: 'Restore our text',
  escCancels: ' · Esc cancels',
  tooManyCharacters: (count: number) =>
    count === 1 ? '1 character too many. Not saved yet' : `${count} characters too many. Not saved yet`,
  lengthOfMost: (length: number, atMost: number) => `${length} of ${atMost}`,
  unknownName: (name: string, known: string) =>
    `{${name}} does not exist here. You can use ${known}. Not saved yet.`,
  notANumber: (name: string) => `{${name}} is not a number. Not saved yet.`,
  notAlwaysKnown: (name: string) =>
    `{${name}} is not always known, so the text would sometimes be empty. Not saved yet.`,
  invitationNeedsWords: 'An invitation needs some words. Not saved yet.',
  cannotBeFormatted: (name: string) => `{${name}} cannot be formatted that way. Not saved yet.`,
  braceMissing: 'One of the braces { } is missing. Not saved yet.',
};
