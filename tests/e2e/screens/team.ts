import { button, checkbox, heading, label, link, region, text } from './find';

export const teamScreen = {
  inesHeading: heading(/Inês Matos/),
  photoOfInes: label('A picture of Inês Matos'),
  changePhoto: button('Change photo'),
  person: (name: string) => heading(name, { exact: true }),
  onlyYou: text('Only you answer so far.'),
  invite: button('Invite a colleague'),
  makeLink: button('Make the link'),
  done: button('Done'),
  copyLink: button('Copy: Link to join'),
  mail: link('Write an e-mail'),
  linkOut: text(/link works until/),
  takeBack: button(/^Take back/),
  changeRightsOf: (name: string) => button(`Change role and teams of ${name}`),
  role: (name: string) => label(new RegExp(`^${name}`)),
  team: (name: string) => checkbox(name),
  save: button('Save'),
  removeFromSite: (name: string) => button(`Remove ${name} from this site`),
  remove: button('Remove', { exact: true }),
  history: button(/Who changed what/),
  teams: region('Teams'),
};

export const joinScreen = {
  heading: heading(/^Join /),
  name: label('Your name'),
  email: label('Your e-mail'),
  password: label('A password'),
  join: button('Join', { exact: true }),
  joinAs: (name: string) => button(`Join as ${name}`),
  signInInstead: link('Sign in instead'),
  gone: heading('This link does not work any more'),
};
