'use client';

import Box from '@mui/material/Box';
import InputAdornment from '@mui/material/InputAdornment';
import Link from '@mui/material/Link';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { SETTINGS, type Setting, type SettingId, settingFault } from '../../../core/model/settings';
import { SETTING_WORDS, boundsWords, settingWords, unitWords } from '../../wording/settings';
import { INSPECTOR_WORDS } from '../../wording/screens/inspector';

interface SettingFieldsProps {
  readonly ids: readonly SettingId[];
  readonly valueOf: (setting: Setting) => number | null;
  /** Our default, where it is not the setting's own. */
  readonly defaultOf?: (setting: Setting) => number | null;
  readonly onChange: (setting: Setting, value: number | null) => void;
}

const ownDefault = ({ defaultValue }: Setting): number | null => defaultValue;

/** Settings of a moment as a table, label left and value right: what was changed from its default, and the way back. */
export function SettingFields({ ids, valueOf, defaultOf = ownDefault, onChange }: SettingFieldsProps) {
  const settings = ids.map((id) => ({ ...SETTINGS[id], defaultValue: defaultOf(SETTINGS[id]) }));
  const changed = settings.filter((one) => valueOf(one) !== one.defaultValue);
  return (
    <Box>
      {settings.map((setting) => (
        <SettingField
          key={setting.id}
          setting={setting}
          value={valueOf(setting)}
          onChange={(value) => onChange(setting, value)}
        />
      ))}
      <Typography variant="body2" color="text.secondary" sx={{ mt: 0.5 }}>
        {changed.length === 0 ? (
          INSPECTOR_WORDS.settingsAtDefaults(settings.length)
        ) : (
          <>
            {INSPECTOR_WORDS.settingsChanged(settings.length, changed.length)}{' '}
            <Link
              component="button"
              type="button"
              variant="body2"
              onClick={() => {
                for (const one of changed) onChange(one, one.defaultValue);
              }}
            >
              {INSPECTOR_WORDS.restore}
            </Link>
          </>
        )}
      </Typography>
    </Box>
  );
}

interface SettingFieldProps {
  readonly setting: Setting;
  readonly value: number | null;
  readonly onChange: (value: number | null) => void;
}

function SettingField({ setting, value, onChange }: SettingFieldProps) {
  const { name, what } = SETTING_WORDS[setting.id];
  const [typed, setTyped] = useState<string | null>(null);
  const stored = typed === null ? value : Math.round(Number(typed) * setting.size * 1000) / 1000;
  const isWrong = typed !== null && (typed.trim() === '' || settingFault(stored, setting) !== null);
  const type = (text: string): void => {
    setTyped(text);
    const next = Math.round(Number(text) * setting.size * 1000) / 1000;
    if (text.trim() !== '' && settingFault(next, setting) === null) onChange(next);
  };
  const isOff = value === null && typed === null;
  const isSwitch = setting.unit === 'switch';
  const help =
    value === setting.defaultValue
      ? what
      : [INSPECTOR_WORDS.defaultIs(settingWords(setting.defaultValue, setting)), what ?? ''].join(' ').trim();
  return (
    <Box sx={{ py: 0.5 }}>
      <Box component={isSwitch ? 'label' : 'div'} sx={ROW}>
        <Box component="span" aria-hidden={!isSwitch} sx={{ flex: 1, fontSize: '0.8125rem' }}>
          {name}
        </Box>
        {isSwitch || setting.canBeOff ? (
          <Switch
            size="small"
            checked={isSwitch ? value === 1 : !isOff}
            onChange={({ target }) => onChange(switched(setting, target.checked))}
            slotProps={{ input: { 'aria-label': name } }}
          />
        ) : null}
        {isSwitch || isOff ? null : (
          <TextField
            size="small"
            value={typed ?? (value === null ? '' : String(value / setting.size))}
            onChange={(event) => type(event.target.value)}
            onBlur={() => {
              if (!isWrong) setTyped(null);
            }}
            error={isWrong}
            slotProps={{
              htmlInput: { inputMode: 'decimal', 'aria-label': name, sx: { py: 0.5, fontSize: '0.8125rem' } },
              input: {
                sx: { pr: 1 },
                endAdornment: <InputAdornment position="end">{unitWords(setting)}</InputAdornment>,
              },
            }}
            sx={{ width: 96, flex: 'none' }}
          />
        )}
      </Box>
      {isWrong ? (
        <Typography role="alert" sx={{ fontSize: '0.8125rem', color: 'error.main' }}>
          {boundsWords(setting)}
        </Typography>
      ) : null}
      <Help>{help}</Help>
    </Box>
  );
}

const ROW = { display: 'flex', alignItems: 'center', gap: 1, minHeight: 32 } as const;

/** What is stored when a setting is switched on or off. */
function switched({ unit }: Setting, isOn: boolean): number | null {
  if (unit === 'switch') return isOn ? 1 : 0;
  return isOn ? FIRST_SECONDS : null;
}

/** What is there when something that was off is switched on: ten minutes. */
const FIRST_SECONDS = 600;

/** What a setting leads to, where its name does not say it. */
function Help({ children }: { readonly children: string | null }) {
  if (children === null) return null;
  return <Typography sx={{ fontSize: '0.8125rem', color: 'text.secondary', pr: 12 }}>{children}</Typography>;
}
