import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import type { Design, Widget } from '../../../core/model/design';
import type { Field } from '../../../core/model/form';
import { SETTINGS_OF_TRANSITION, settingValue } from '../../../core/model/settings';
import type { DrawnMoment } from '../../../core/model/moment';
import { inLocale, textOf } from '../../../core/words/texts-of';
import { MOMENT_WORDS } from '../../wording/moments';
import { headlineOfInvitation } from '../../wording/transitions';
import { useDesign } from '../state/DesignContext';
import { useDesignActions } from '../state/use-design-actions';
import { Recipients } from './Recipients';
import { SettingFields } from './SettingFields';
import type { DrawnTransition } from '../path/transitions';
import { INSPECTOR_WORDS } from '../../wording/screens/inspector';
import { SHARED_WORDS } from '../../wording/screens/shared';

interface TransitionSettingsProps {
  readonly transition: DrawnTransition;
}

/** What makes a transition what it is: its settings, or where they stand. */
export function TransitionSettings({ transition }: TransitionSettingsProps) {
  const { design, rehearsed, edits } = useDesign();
  const { widget } = rehearsed;
  const ids = SETTINGS_OF_TRANSITION[transition.id] ?? [];
  return (
    <>
      <Typography variant="h2" sx={{ fontSize: '1.25rem' }}>
        {MOMENT_WORDS[transition.from].name} → {MOMENT_WORDS[transition.to].name}
      </Typography>
      <Typography variant="body2" sx={{ mb: 2, '::first-letter': { textTransform: 'uppercase' } }}>
        {transition.full}.
      </Typography>
      {ids.length === 0 ? null : (
        <SettingFields
          key={`${widget.id} ${transition.id}`}
          ids={ids}
          valueOf={(one) => settingValue(design, widget, one)}
          onChange={edits.setSetting}
        />
      )}
      <Own transition={transition} />
    </>
  );
}

/** What a transition is made of besides numbers. */
function Own({ transition }: TransitionSettingsProps) {
  const { design, rehearsed, acts } = useDesign();
  const { widget, nameOfTeam } = rehearsed;
  const { toMoment } = useDesignActions();
  const toStage = (moment: DrawnMoment, words: string): ReactNode => (
    <TransitionSetting onClick={() => toMoment(moment)}>{words}</TransitionSetting>
  );
  switch (transition.id) {
    case 'invitation-shown':
    case 'opened-by-invitation': {
      const all = widget.invitations.filter(
        ({ approach }) => transition.id === 'invitation-shown' || approach === 'open',
      );
      return (
        <Listed title={all.length === 0 ? INSPECTOR_WORDS.noInvitations : INSPECTOR_WORDS.invitationsInOrder}>
          {all.map((one) => (
            <li key={one.id}>
              <Box component="span" sx={{ fontWeight: 600 }}>
                {one.name}
              </Box>
              : {one.isOn ? headlineOfInvitation(one) : INSPECTOR_WORDS.off}
            </li>
          ))}
        </Listed>
      );
    }
    case 'invitation-accepted':
      return toStage('invited', INSPECTOR_WORDS.editReplies);
    case 'invitation-declined':
      return toStage('invited', INSPECTOR_WORDS.editNoThanks);
    case 'opened-while-unavailable':
    case 'availability-lost':
    case 'availability-lost-while-waiting':
    case 'availability-gained':
      return (
        <>
          <Typography variant="body2" sx={{ mb: 1 }}>
            {widget.calendarId === null ? INSPECTOR_WORDS.noOpeningHours : INSPECTOR_WORDS.dependsOnHours}
          </Typography>
          <TransitionSetting onClick={() => acts.chooseAside('availability')}>
            {SHARED_WORDS.whoCanAnswer}
          </TransitionSetting>
        </>
      );
    case 'first-message-sent':
      return (
        <Fields
          title={INSPECTOR_WORDS.questionsBeforeTheChat}
          none={INSPECTOR_WORDS.noQuestionsBeforeChat}
          fields={widget.forms.before}
          design={design}
          widget={widget}
        />
      );
    case 'responder-joined':
      return (
        <Listed
          title={
            widget.teams.length === 0 ? INSPECTOR_WORDS.nobodyAnswersHereYet : INSPECTOR_WORDS.whoAnswersHere
          }
        >
          {widget.teams.map((id) => (
            <li key={id}>{nameOfTeam(id)}</li>
          ))}
        </Listed>
      );
    case 'address-left':
      return toStage('slow-reply', INSPECTOR_WORDS.editOffer);
    case 'note-sent':
      return (
        <>
          <Fields
            title={INSPECTOR_WORDS.questionsWithANote}
            none={INSPECTOR_WORDS.noQuestionsWithNote}
            fields={widget.forms.note}
            design={design}
            widget={widget}
          />
          <Recipients teams={widget.teams} nameOfTeam={nameOfTeam} />
        </>
      );
    case 'asked-again':
      return toStage('goodbye', INSPECTOR_WORDS.editText);
    case 'launcher-clicked':
    case 'answer-after-all':
    case 'conversation-resumed':
    case 'answer-replied-to':
      return (
        <Typography variant="body2" color="text.secondary">
          {INSPECTOR_WORDS.nothingToSetHere}
        </Typography>
      );
    case 'answer-overdue':
    case 'reply-overdue':
    case 'conversation-ended':
      return null; // numbers only
  }
}

interface FieldsProps {
  readonly title: string;
  readonly none: string;
  readonly fields: readonly Field[];
  readonly design: Design;
  readonly widget: Widget;
}

function Fields({ title, none, fields, design, widget }: FieldsProps) {
  const { defaultLocale } = design;
  if (fields.length === 0) return <Typography variant="body2">{none}</Typography>;
  return (
    <Listed title={title}>
      {fields.map((field) => {
        const own = field.own === null ? '' : inLocale(field.own.label, design, defaultLocale);
        const label =
          own === '' && field.label !== null ? textOf(design, widget, defaultLocale, field.label) : own;
        return (
          <li key={field.id}>
            {label === '' ? field.id : label}
            {field.isRequired ? INSPECTOR_WORDS.needed : ''}
            {field.kind === 'hidden' ? INSPECTOR_WORDS.takenFromThePage : ''}
          </li>
        );
      })}
    </Listed>
  );
}

function Listed({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box component="section" sx={{ mt: 1 }}>
      <Typography component="h3" sx={{ fontSize: '0.8125rem', fontWeight: 700 }}>
        {title}
      </Typography>
      <Box component="ul" sx={{ m: 0, pl: 2.25, fontSize: '0.8125rem', '& li': { py: 0.25 } }}>
        {children}
      </Box>
    </Box>
  );
}

function TransitionSetting({ onClick, children }: { onClick: () => void; children: string }) {
  return (
    <Link component="button" type="button" variant="body2" onClick={onClick} sx={{ minHeight: 24 }}>
      {children}
    </Link>
  );
}
