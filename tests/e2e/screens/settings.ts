import { button, combobox, label, list, option, textbox } from './find';

export const settingsScreen = {
  siteName: textbox('Name of your site'),
  save: button('Save', { exact: true }),
  domains: list('Addresses'),
  anotherAddress: textbox('Another address'),
  add: button('Add', { exact: true }),
  removeSubdomains: button('Remove https://*.granite.example'),
  zone: combobox('Time zone'),
  lisbon: option('Europe/Lisbon'),
  placeInPortuguese: textbox('In Português'),
  savePortuguese: button('Save: in Português'),
  languages: list('Languages'),
  addLanguage: combobox('Add a language'),
  spanish: option('español'),
  keptDays: label('Days', { exact: true }),
  saveDays: button('Save: days'),
  deleteOlder: button('Delete for good'),
  keepAsBefore: button('Keep 365 days'),
};

export const accountScreen = {
  name: textbox('Your name'),
  save: button('Save', { exact: true }),
  passwordNow: label('Password you have now'),
  newPassword: label('New password'),
  changePassword: button('Change password'),
  sessions: list('Sessions'),
};
