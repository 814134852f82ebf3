'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { isTestOrigin } from '../../core/pages/origins';
import type { SettingsView } from '../../core/wire/desk';
import { SavedField } from '../parts/SavedField';
import { useAttempt } from '../parts/use-attempt';
import type { SettingsPort } from './port';
import { SETTINGS_WORDS } from '../wording/screens/settings';
import { SHARED_WORDS } from '../wording/screens/shared';

interface AddressesProps {
  readonly domains: readonly string[];
  readonly port: SettingsPort;
  readonly onView: (view: SettingsView) => void;
}

/** Which pages may carry the widget: addresses, all subdomains of one, and those to try things out at. */
export function Addresses({ domains, port, onView }: AddressesProps) {
  const { fault, run } = useAttempt(SETTINGS_WORDS.notRemoved);
  return (
    <>
      {domains.length === 0 ? (
        <Typography sx={{ mb: 2 }}>{SETTINGS_WORDS.noAddressYet}</Typography>
      ) : (
        <Box
          component="ul"
          aria-label={SETTINGS_WORDS.addresses}
          sx={{ m: 0, mb: 2, p: 0, listStyle: 'none', maxWidth: '32rem' }}
        >
          {domains.map((origin) => (
            <Box
              component="li"
              key={origin}
              sx={{
                display: 'flex',
                alignItems: 'center',
                gap: 1,
                borderBottom: '1px solid var(--porch-rail)',
              }}
            >
              <Box component="span" sx={{ flex: 1, overflowWrap: 'anywhere' }}>
                {origin}
                <Box component="span" sx={{ color: 'text.secondary', fontSize: '0.8125rem' }}>
                  {noteOf(origin)}
                </Box>
              </Box>
              <Button
                size="small"
                aria-label={SETTINGS_WORDS.removeAddress(origin)}
                onClick={() => void run(async () => onView(await port.removeDomain(origin)))}
              >
                {SHARED_WORDS.remove}
              </Button>
            </Box>
          ))}
        </Box>
      )}
      {fault === null ? null : (
        <Typography role="alert" color="error" sx={{ mb: 2 }}>
          {fault}
        </Typography>
      )}
      <SavedField
        name="origin"
        label={SETTINGS_WORDS.anotherAddress}
        value=""
        button={SETTINGS_WORDS.add}
        help={SETTINGS_WORDS.addressExamples}
        onSave={async (origin) => onView(await port.addDomain(origin))}
      />
    </>
  );
}

function noteOf(origin: string): string {
  if (origin.includes('*')) return SETTINGS_WORDS.allSubdomainsMark;
  return isTestOrigin(origin) ? SETTINGS_WORDS.forTestingMark : '';
}
