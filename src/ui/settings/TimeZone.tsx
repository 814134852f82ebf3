'use client';

import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { cityOf } from '../../core/decide/reader';
import type { SettingsView } from '../../core/wire/desk';
import { SavedField } from '../parts/SavedField';
import { useAttempt } from '../parts/use-attempt';
import { languageName } from '../wording/languages';
import type { SettingsPort } from './port';
import { SETTINGS_WORDS } from '../wording/screens/settings';
import { SHARED_WORDS } from '../wording/screens/shared';

interface TimeZoneProps {
  readonly view: SettingsView;
  readonly port: SettingsPort;
  readonly onView: (view: SettingsView) => void;
}

/** The clock of the site, and what visitors with another one read after its times. */
export function TimeZone({ view, port, onView }: TimeZoneProps) {
  const { fault, isBusy, run } = useAttempt(SHARED_WORDS.notSaved);
  const { zone, places, locales } = view;
  const city = cityOf(zone);
  return (
    <>
      <Autocomplete
        disableClearable
        size="small"
        disabled={isBusy}
        value={zone}
        options={Intl.supportedValuesOf('timeZone')}
        getOptionLabel={(one) => one.replaceAll('_', ' ')}
        onChange={(_, next) => void run(async () => onView(await port.setZone(next)))}
        renderInput={(field) => (
          <TextField {...field} label={SHARED_WORDS.timeZone} error={fault !== null} helperText={fault} />
        )}
        sx={{ maxWidth: '32rem' }}
      />
      <Typography variant="body2" sx={{ mt: 3, mb: 2, maxWidth: '32rem' }}>
        {SETTINGS_WORDS.placeHelp(Object.values(places)[0] ?? city)}
      </Typography>
      <Box sx={{ display: 'grid', gap: 2 }}>
        {locales.map((locale) => (
          <SavedField
            key={`${zone} ${locale}`}
            name="place"
            label={SETTINGS_WORDS.inLanguage(languageName(locale))}
            value={places[locale] ?? ''}
            placeholder={city}
            buttonName={SETTINGS_WORDS.saveInLanguage(languageName(locale))}
            onSave={async (place) => onView(await port.setPlace({ locale, place }))}
          />
        ))}
      </Box>
    </>
  );
}
