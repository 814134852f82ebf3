import { TEXTS_EN } from '../../../src/core/words/texts-en';
import { TEXTS_PT } from '../../../src/core/words/texts-pt';
import { type Scope, button, group, label, text } from './find';

export const widgetScreen = {
  close: button(TEXTS_EN['window.close']),
  send: button(TEXTS_EN['input.send']),
  formThanks: text(TEXTS_EN['form.thanks']),
  email: label(TEXTS_EN['note.email']),
  acceptInvitation: button(TEXTS_EN['invitation.yes']),
  declineInvitationPt: button(TEXTS_PT['invitation.no']),
  noteText: label(TEXTS_EN['note.text']),
  leaveNote: button(TEXTS_EN['note.send']),
  consentNeeded: text(TEXTS_EN['form.consent']),
  noteLeft: text('Got it. Come back', { exact: false }),
  endConversation: button(TEXTS_EN['talking.end']),
  askAgain: button(TEXTS_EN['goodbye.again']),
  datedLines: (within: Scope) => within.locator('.line.dated'),
  forgetMe: button('Forget me'),
  forgetGroup: group(/^Remove this conversation here and at/),
  keepConversation: button('Keep it'),
};
