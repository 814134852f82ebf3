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

interface TimeZoneProps {
  readonly view: SettingsView;
  readonly port: SettingsPort;
  readonly onView: (view: SettingsView) => void;
}

/** The clock of the site, and what visitors with another one read after its times. */
export function TimeZone({ view, port, onView }: TimeZoneProps) {
  const { fault, isBusy, run } = useAttempt('Not saved. Try again.');
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
          <TextField {...field} label="Time zone" error={fault !== null} helperText={fault} />
        )}
        sx={{ maxWidth: '32rem' }}
      />
      <Typography variant="body2" sx={{ mt: 3, mb: 2, maxWidth: '32rem' }}>
        Visitors in another time zone read their own time first, then yours with its place: “20:30 (19:30,{' '}
        {Object.values(places)[0] ?? city})”. What is your place called?
      </Typography>
      <Box sx={{ display: 'grid', gap: 2 }}>
        {locales.map((locale) => (
          <SavedField
            key={`${zone} ${locale}`}
            name="place"
            label={`In ${languageName(locale)}`}
            value={places[locale] ?? ''}
            placeholder={city}
            buttonName={`Save: in ${languageName(locale)}`}
            onSave={async (place) => onView(await port.setPlace({ locale, place }))}
          />
        ))}
      </Box>
    </>
  );
}
