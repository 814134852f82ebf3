function dayCount(days: number): string {
  return days === 1 ? '1 day' : `${days} days`;
}

/** What *Site settings* says. */
export const SETTINGS_WORDS = {
  notRemoved: 'Nothing was removed. Try again.',
  noAddressYet: 'No address yet, so the widget shows on no page.',
  addresses: 'Addresses',
  removeAddress: (origin: string) => `Remove ${origin}`,
  anotherAddress: 'Another address',
  add: 'Add',
  addressExamples:
    'For example farrowisle.example, *.farrowisle.example for all subdomains, or localhost:3000 to test.',
  allSubdomainsMark: ' · all subdomains',
  forTestingMark: ' · for testing',
  loadingLanguages: 'Loading the languages',
  languages: 'Languages',
  addALanguage: 'Add a language',
  removedLanguageHelp: 'What you wrote in a language you remove is kept, should you add it again.',
  seenWithNextVersion: 'Visitors see this with the next version you publish.',
  forEverybodyElseMark: ' · for everybody else',
  ownWordsElseMark: (languageName: string) => ` · your own words, else ${languageName}`,
  makeDefaultNamed: (name: string) => `Use ${name} for everybody else`,
  makeDefault: 'Use for everybody else',
  removeLanguage: (name: string) => `Remove ${name}`,
  notLoaded: 'The settings could not be loaded.',
  loadingSettings: 'Loading the settings',
  siteNameHelp: 'Visitors read it at the top of the window once you publish.',
  addressesHelp: 'The widget shows on pages at these addresses, and nowhere else. It takes effect at once.',
  timeZoneHelp: 'Opening hours and everything with a date use this clock. It takes effect at once.',
  languagesHelp: 'Visitors read the widget in the first of these that their browser asks for.',
  keeping: 'How long conversations are kept',
  keepingHelp:
    'A conversation in which nothing was written for this long is deleted, with all that the visitor wrote. This is checked every hour.',
  keptDays: 'Days',
  saveDays: 'Save: days',
  olderOnes: (count: number, days: number) =>
    count === 1
      ? `One conversation is older than ${dayCount(days)}. It would be deleted within the hour, and cannot be brought back.`
      : `${count} conversations are older than ${dayCount(days)}. They would be deleted within the hour, and cannot be brought back.`,
  deleteOlder: 'Delete for good',
  keepOlder: (days: number) => `Keep ${dayCount(days)}`,
  placeHelp: (place: string) =>
    `Visitors in another time zone read their own time first, then yours with its place: “20:30 (19:30, ${place})”. What is your place called?`,
  inLanguage: (languageName: string) => `In ${languageName}`,
  saveInLanguage: (languageName: string) => `Save: in ${languageName}`,
};
