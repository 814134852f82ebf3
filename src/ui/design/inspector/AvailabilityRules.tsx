'use client';

import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { WIDGET_DEFAULTS } from '../../../core/model/defaults';
import { lampOf } from '../../../core/model/lamp';
import type { Widget } from '../../../core/model/design';
import type { Behaviour, WidgetState } from '../../../core/model/moment';
import { LampMark } from '../../parts/LampMark';
import type { TeamRow } from '../path/availability-rows';
import { TeamRows } from '../path/TeamRows';
import { INSPECTOR_WORDS } from '../../wording/screens/inspector';
import { SHARED_WORDS } from '../../wording/screens/shared';

interface AvailabilityRulesProps {
  readonly widget: Widget;
  /** The state that holds in these circumstances. */
  readonly now: WidgetState;
  /** Empty: there is only one team. */
  readonly teams: readonly TeamRow[];
  readonly onBehaviour: (state: WidgetState, behaviour: Behaviour) => void;
}

const ROWS: readonly (readonly [WidgetState, string, readonly Behaviour[]])[] = [
  ['in', INSPECTOR_WORDS.somebodyIsAnswering, ['chat', 'note', 'out-of-sight']],
  ['nearby', INSPECTOR_WORDS.somebodyIsNearby, ['chat', 'note', 'out-of-sight']],
  ['busy', INSPECTOR_WORDS.allBusy, ['queue', 'chat', 'note', 'out-of-sight']],
  ['nobody', INSPECTOR_WORDS.nobodyIsAnswering, ['note', 'chat', 'out-of-sight']],
  ['closed', INSPECTOR_WORDS.closed, ['note', 'chat', 'out-of-sight']],
];

const BEHAVIOUR_WORDS: Readonly<Record<Behaviour, string>> = {
  chat: INSPECTOR_WORDS.leadsToChat,
  queue: INSPECTOR_WORDS.leadsToLine,
  note: INSPECTOR_WORDS.leadsToNote,
  answers: INSPECTOR_WORDS.leadsToAnswers,
  'out-of-sight': INSPECTOR_WORDS.hidden,
};

/** *Who can answer?*: what happens in each state, which decides the moment card that the launcher leads to ([S5]). */
export function AvailabilityRules({ widget, now, teams, onBehaviour }: AvailabilityRulesProps) {
  const ours = WIDGET_DEFAULTS.behaviours.value;
  const rows = ROWS.filter(([state]) => state !== 'closed' || widget.calendarId !== null);
  const changed = rows.filter(([state]) => widget.behaviours[state] !== ours[state]);
  return (
    <>
      <Typography variant="h2">{SHARED_WORDS.whoCanAnswer}</Typography>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 2 }}>
        {INSPECTOR_WORDS.whoCanAnswerHelp}
      </Typography>
      {teams.length === 0 ? null : (
        <Box sx={{ mb: 2 }}>
          <TeamRows rows={teams} />
        </Box>
      )}
      {rows.map(([state, words, behaviours]) => {
        const behaviour = widget.behaviours[state];
        return (
          <Box key={state} sx={{ display: 'flex', gap: 1, alignItems: 'center', mb: 1.75 }}>
            <LampMark mark={lampOf(state, true)} size={22} />
            <TextField
              select
              fullWidth
              size="small"
              label={state === now ? INSPECTOR_WORDS.stateNow(words) : words}
              value={behaviour}
              onChange={(event) => onBehaviour(state, event.target.value as Behaviour)}
            >
              {(behaviours.includes(behaviour) ? behaviours : [...behaviours, behaviour]).map((one) => (
                <MenuItem key={one} value={one}>
                  {BEHAVIOUR_WORDS[one]}
                </MenuItem>
              ))}
            </TextField>
          </Box>
        );
      })}
      <Typography variant="body2" color="text.secondary">
        {changed.length === 0 ? (
          INSPECTOR_WORDS.settingsAtDefaults(rows.length)
        ) : (
          <>
            {INSPECTOR_WORDS.settingsChanged(rows.length, changed.length)}{' '}
            <Link
              component="button"
              type="button"
              variant="body2"
              onClick={() => {
                for (const [state] of changed) onBehaviour(state, ours[state]);
              }}
            >
              {INSPECTOR_WORDS.restoreDefaults}
            </Link>
          </>
        )}
      </Typography>
      {widget.calendarId === null ? (
        <Typography variant="body2" sx={{ mt: 2 }}>
          {INSPECTOR_WORDS.noOpeningHours}
        </Typography>
      ) : null}
    </>
  );
}
