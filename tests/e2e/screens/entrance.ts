import { button, complementary, heading, label, text, textbox } from './find';

export const entranceScreen = {
  demoDoorOf: (who: string) => button(new RegExp(`Enter as ${who}`)),
  email: label('Your e-mail'),
  password: label('Password'),
  signIn: button('Sign in'),
  setupCode: label('Setup code'),
  siteName: label('Name of your site'),
  newPassword: label('A password'),
  create: button('Create my widget'),
  setupCodeNeeded: text('Type the code that was printed where Sunny Porch was started.'),
  languageAndZone: text(/English, and it is \d\d:\d\d in America\/St_Johns, right\?/),
  siteNameNeeded: text('Give your site a name; visitors read it at the top of the window.'),
  emailFault: text('Something is missing around the @.'),
  preview: complementary('Your widget'),
  siteAddress: label('Address of your site'),
  colour: textbox('Your colour'),
  whiteTextRatio: text(/White text on it: 8\.\d:1, very easy to read\./),
  demoDoor: button(/Enter as/),
  wrongPassword: text('E-mail and password do not go together. Check both.'),
  heading: heading('Set up your site'),
  demoDoorRui: button(/Enter as Rui/),
};
