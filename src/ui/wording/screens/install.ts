/** What *Install* says. */
export const INSTALL_WORDS = {
  sameOnEveryPage: 'Your snippet: the same on every page',
  pasteOnce: 'Paste it once into every page.',
  localOnly:
    'This address works only on this computer. Set PUBLIC_URL to the address that visitors reach, and start again.',
  whereItGoes: 'Where it goes',
  whereItGoesHelp: `Just before </body> on each page, or once in the part that all pages share. Nothing else has to be changed there, ever: hours, words and looks change here.`,
  noAddressYet: 'Your site’s address is not set yet, so the widget shows on no page.',
  worksOn: (domains: string) => `It works on pages of ${domains}, and nowhere else.`,
  andBetween: ' and ',
  policyTitle: 'If your site uses a Content-Security-Policy',
  policyHelp:
    'Most sites have none, and need nothing here. Where one is sent, its lists need these addresses; styles and fonts need no line of their own.',
  policyLines: 'Lines for the policy',
  policyLinesHelp: 'Add each line to the list of the same name.',
  whatVisitorsSee: 'What visitors see',
  nothingYet: 'Nothing until you publish.',
  versionLive: (version: number) => `Version ${version}, from the next page view on.`,
  openDesignToPublish: 'Open Design to publish',
};
