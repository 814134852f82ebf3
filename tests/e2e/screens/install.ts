import { button } from './find';

export const installScreen = {
  copySnippet: button('Copy: Your snippet'),
  copyPolicy: button('Copy: Lines for the policy'),
  copiedPolicy: button('Copied: Lines for the policy'),
};
