import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import TextField from '@mui/material/TextField';
import { PUBLISHING_WORDS } from '../wording/screens/publishing';
import { SHARED_WORDS } from '../wording/screens/shared';

export const WHEN_KINDS = ['now', 'later', 'period'] as const;
export interface WhenAsked {
  readonly kind: (typeof WHEN_KINDS)[number];
  /** By the site's clock, `YYYY-MM-DDTHH:MM`; empty: not chosen yet. */
  readonly from: string;
  readonly until: string;
  readonly takesBack: boolean;
}

export const NOW: WhenAsked = { kind: 'now', from: '', until: '', takesBack: false };

/** When a version is live: at once, from a moment on, or for a time after which it goes back by itself. */
export function WhenLive({
  when,
  onWhen,
  zoneName,
  errors,
}: {
  when: WhenAsked;
  onWhen: (when: WhenAsked) => void;
  zoneName: string;
  errors: Readonly<Record<string, string>>;
}) {
  const moment = (name: 'from' | 'until', label: string) => (
    <TextField
      label={label}
      type="datetime-local"
      size="small"
      value={when[name]}
      onChange={(event) => onWhen({ ...when, [name]: event.target.value.slice(0, 16) })}
      error={errors[name] !== undefined}
      helperText={errors[name]}
      slotProps={{ inputLabel: { shrink: true } }}
      sx={{ minWidth: 220, flex: 1 }}
    />
  );
  return (
    <Box component="fieldset" sx={{ border: 0, p: 0, m: 0, mt: 2 }}>
      <Box component="legend" sx={{ fontSize: '0.8125rem', fontWeight: 700, p: 0 }}>
        {PUBLISHING_WORDS.when}
      </Box>
      <RadioGroup
        row
        aria-label={PUBLISHING_WORDS.when}
        value={when.kind}
        onChange={(event) => onWhen({ ...when, kind: event.target.value as WhenAsked['kind'] })}
      >
        <FormControlLabel value="now" control={<Radio size="small" />} label={PUBLISHING_WORDS.now} />
        <FormControlLabel value="later" control={<Radio size="small" />} label={PUBLISHING_WORDS.later} />
        <FormControlLabel
          value="period"
          control={<Radio size="small" />}
          label={PUBLISHING_WORDS.temporarily}
        />
      </RadioGroup>
      {when.kind === 'now' ? null : (
        <>
          <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', mt: 1 }}>
            {moment('from', SHARED_WORDS.from)}
            {when.kind === 'period' ? moment('until', SHARED_WORDS.until) : null}
          </Box>
          <Box sx={{ fontSize: '0.8125rem', color: 'text.secondary', mt: 0.75 }}>
            {PUBLISHING_WORDS.bySiteClock(zoneName.replaceAll('_', ' '))}
          </Box>
        </>
      )}
      {when.kind === 'period' ? (
        <FormControlLabel
          control={
            <Checkbox
              size="small"
              checked={when.takesBack}
              onChange={(event) => onWhen({ ...when, takesBack: event.target.checked })}
            />
          }
          label={PUBLISHING_WORDS.undoAfterwards}
        />
      ) : null}
    </Box>
  );
}
