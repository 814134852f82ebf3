'use client';

import Alert from '@mui/material/Alert';
import AlertTitle from '@mui/material/AlertTitle';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControl from '@mui/material/FormControl';
import FormControlLabel from '@mui/material/FormControlLabel';
import FormHelperText from '@mui/material/FormHelperText';
import FormLabel from '@mui/material/FormLabel';
import MenuItem from '@mui/material/MenuItem';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import TextField from '@mui/material/TextField';
import { type ReactNode, useEffect, useId, useState } from 'react';
import { toast } from 'sonner';
import {
  ALERT_AGAIN_MINUTES,
  ALERT_SCOPES,
  ALERT_SOUNDS,
  type AlertSettings,
  type QuietHours,
} from '../../core/model/alert-settings';
import { permissionNow } from '../alerts/alerter';
import { playSound } from '../alerts/sounds';
import { PortError } from '../frame/api';
import { useConnection } from '../frame/Connection';
import { useSite } from '../frame/SiteContext';
import { Part } from '../parts/Part';
import { ALERTS_WORDS } from '../wording/screens/alerts';
import { SHARED_WORDS } from '../wording/screens/shared';
import type { AccountPort } from './port';

/** The night, until something else is chosen. */
const NIGHT: QuietHours = { from: 22 * 60, until: 7 * 60 };

/** How one is told of questions. Every change holds at once. */
export function AlertsPart({ port }: { readonly port: AccountPort }) {
  const { overview, reload } = useSite();
  const { notice } = useConnection();
  const [own, setOwn] = useState<AlertSettings | null>(null);
  const alerts = own ?? overview.alerts;
  const change = (changed: Partial<AlertSettings>): void => {
    const next = { ...alerts, ...changed };
    setOwn(next);
    port
      .setAlerts(next)
      .then(reload)
      .catch((error: unknown) => {
        notice(error);
        toast.error(error instanceof PortError ? error.sentence : SHARED_WORDS.notSaved);
      })
      .finally(() => setOwn((still) => (still === next ? null : still)));
  };
  return (
    <Part title={ALERTS_WORDS.title} lead={ALERTS_WORDS.lead}>
      <Box sx={{ display: 'flex', flexDirection: 'column', gap: 3, maxWidth: '32rem' }}>
        <Notifications alerts={alerts} onChange={change} />
        <Choice
          title={ALERTS_WORDS.sound}
          help={ALERTS_WORDS.soundHelp}
          value={alerts.sound ?? ''}
          options={[
            ['', ALERTS_WORDS.noSound],
            ...ALERT_SOUNDS.map((sound) => [sound, ALERTS_WORDS.sounds[sound]] as const),
          ]}
          onChange={(value) => {
            const sound = ALERT_SOUNDS.find((one) => one === value) ?? null;
            if (sound !== null) playSound(sound);
            change({ sound });
          }}
        />
        <Choice
          title={ALERTS_WORDS.scope}
          value={alerts.scope}
          options={ALERT_SCOPES.map((scope) => [scope, ALERTS_WORDS.scopes[scope]] as const)}
          onChange={(value) => {
            const scope = ALERT_SCOPES.find((one) => one === value);
            if (scope !== undefined) change({ scope });
          }}
        />
        <TextField
          select
          size="small"
          label={ALERTS_WORDS.again}
          value={String(alerts.againMinutes ?? '')}
          onChange={({ target }) =>
            change({ againMinutes: target.value === '' ? null : Number(target.value) })
          }
          slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
        >
          <MenuItem value="">{ALERTS_WORDS.againNever}</MenuItem>
          {ALERT_AGAIN_MINUTES.map((minutes) => (
            <MenuItem key={minutes} value={String(minutes)}>
              {ALERTS_WORDS.againAfter(minutes)}
            </MenuItem>
          ))}
        </TextField>
        <Quiet hours={alerts.quietHours} onChange={(quietHours) => change({ quietHours })} />
      </Box>
    </Part>
  );
}

interface AlertsProps {
  readonly alerts: AlertSettings;
  readonly onChange: (changed: Partial<AlertSettings>) => void;
}

function Notifications({ alerts, onChange }: AlertsProps) {
  const [permission, setPermission] = usePermission();
  return (
    <FormControl component="fieldset">
      <FormLabel component="legend">{SHARED_WORDS.notifications}</FormLabel>
      {permission === 'default' ? (
        <Box sx={{ mt: 1 }}>
          <Button
            variant="outlined"
            onClick={() => void Notification.requestPermission().then(setPermission)}
          >
            {ALERTS_WORDS.allow}
          </Button>
          <FormHelperText sx={{ mx: 0 }}>{ALERTS_WORDS.allowHelp}</FormHelperText>
        </Box>
      ) : null}
      {permission === 'denied' ? (
        <Alert severity="warning" sx={{ mt: 1 }}>
          <AlertTitle>{ALERTS_WORDS.blocked}</AlertTitle>
          {ALERTS_WORDS.blockedHelp}
        </Alert>
      ) : null}
      {permission === 'none' ? (
        <Alert severity="info" sx={{ mt: 1 }}>
          {ALERTS_WORDS.none}
        </Alert>
      ) : null}
      {permission === 'granted' ? (
        <>
          <Tick
            label={ALERTS_WORDS.show}
            isOn={alerts.isNotified}
            onChange={(isNotified) => onChange({ isNotified })}
          />
          <Tick
            label={ALERTS_WORDS.words}
            help={ALERTS_WORDS.wordsHelp}
            isOn={alerts.showsWords}
            isDisabled={!alerts.isNotified}
            onChange={(showsWords) => onChange({ showsWords })}
          />
        </>
      ) : null}
    </FormControl>
  );
}

/** What the browser says of notifications, also when that is changed beside the address. Null: it was not asked yet. */
function usePermission(): [ReturnType<typeof permissionNow> | null, (now: NotificationPermission) => void] {
  const [permission, setPermission] = useState<ReturnType<typeof permissionNow> | null>(null);
  useEffect(() => {
    const stop = new AbortController();
    const read = (): void => setPermission(permissionNow());
    read();
    addEventListener('focus', read, { signal: stop.signal });
    navigator.permissions
      .query({ name: 'notifications' })
      .then((status) => status.addEventListener('change', read, { signal: stop.signal }))
      .catch(() => undefined); // some browsers do not tell; it is read again when the tab comes to the front
    return () => stop.abort();
  }, []);
  return [permission, setPermission];
}

interface TickProps {
  readonly label: string;
  readonly help?: string;
  readonly isOn: boolean;
  readonly isDisabled?: boolean;
  readonly onChange: (isOn: boolean) => void;
}

function Tick({ label, help, isOn, isDisabled = false, onChange }: TickProps) {
  const id = useId();
  return (
    <Box>
      <FormControlLabel
        label={label}
        disabled={isDisabled}
        control={
          <Checkbox
            checked={isOn}
            onChange={(_, checked) => onChange(checked)}
            slotProps={help === undefined ? {} : { input: { 'aria-describedby': id } }}
          />
        }
      />
      {help === undefined ? null : (
        <FormHelperText id={id} sx={{ mx: 0, ml: 4, mt: -0.5 }}>
          {help}
        </FormHelperText>
      )}
    </Box>
  );
}

interface ChoiceProps {
  readonly title: string;
  readonly help?: string;
  readonly value: string;
  readonly options: readonly (readonly [value: string, label: string])[];
  readonly onChange: (value: string) => void;
}

function Choice({ title, help, value, options, onChange }: ChoiceProps): ReactNode {
  const id = useId();
  return (
    <FormControl>
      <FormLabel id={id}>{title}</FormLabel>
      <RadioGroup row aria-labelledby={id} value={value} onChange={({ target }) => onChange(target.value)}>
        {options.map(([one, label]) => (
          <FormControlLabel key={one} value={one} label={label} control={<Radio />} />
        ))}
      </RadioGroup>
      {help === undefined ? null : <FormHelperText sx={{ mx: 0 }}>{help}</FormHelperText>}
    </FormControl>
  );
}

interface QuietProps {
  readonly hours: QuietHours | null;
  readonly onChange: (hours: QuietHours | null) => void;
}

function Quiet({ hours, onChange }: QuietProps) {
  return (
    <FormControl component="fieldset">
      <FormLabel component="legend">{ALERTS_WORDS.quiet}</FormLabel>
      <Tick
        label={ALERTS_WORDS.quietOn}
        isOn={hours !== null}
        onChange={(isOn) => onChange(isOn ? NIGHT : null)}
      />
      {hours === null ? null : (
        <>
          <Box sx={{ display: 'flex', gap: 2, mt: 1 }}>
            <TimeField
              label={SHARED_WORDS.from}
              minute={hours.from}
              onChange={(from) => onChange({ ...hours, from })}
            />
            <TimeField
              label={SHARED_WORDS.until}
              minute={hours.until}
              onChange={(until) => onChange({ ...hours, until })}
            />
          </Box>
          <FormHelperText sx={{ mx: 0 }}>{ALERTS_WORDS.quietHelp}</FormHelperText>
        </>
      )}
    </FormControl>
  );
}

interface TimeFieldProps {
  readonly label: string;
  /** Of the day. */
  readonly minute: number;
  readonly onChange: (minute: number) => void;
}

function TimeField({ label, minute, onChange }: TimeFieldProps) {
  const two = (number: number): string => String(number).padStart(2, '0');
  return (
    <TextField
      label={label}
      type="time"
      size="small"
      value={`${two(Math.floor(minute / 60))}:${two(minute % 60)}`}
      onChange={({ target }) => {
        const [hours, minutes] = target.value.split(':').map(Number);
        if (hours !== undefined && minutes !== undefined) onChange(hours * 60 + minutes); // emptied: as it was
      }}
      slotProps={{ inputLabel: { shrink: true } }}
    />
  );
}
