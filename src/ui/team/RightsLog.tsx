import Box from '@mui/material/Box';
import { useState } from 'react';
import type { RightsChange } from '../../core/wire/desk';
import { useSite } from '../frame/SiteContext';
import { Fold } from '../parts/Fold';
import { rightsWords } from '../wording/rights';
import { TEAM_WORDS } from '../wording/screens/team';
import { dayWords } from '../wording/times';

/** What was changed of who may do what, the newest first. */
export function RightsLog({ changes }: { changes: readonly RightsChange[] }) {
  const { zone } = useSite();
  const [isOpen, setOpen] = useState(false);
  const [newest] = changes;
  return (
    <Box sx={{ mt: 3 }}>
      <Fold
        title={TEAM_WORDS.history}
        state={newest === undefined ? TEAM_WORDS.noHistory : TEAM_WORDS.lastChange(rightsWords(newest))}
        isOpen={isOpen}
        onOpen={setOpen}
      >
        <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none', fontSize: '0.875rem' }}>
          {changes.map((change) => (
            <Box component="li" key={change.id} sx={{ display: 'flex', gap: 2, py: 0.5 }}>
              <Box component="time" sx={{ flex: '0 0 9.5rem', color: 'text.secondary' }}>
                {dayWords(change.at, zone)}
              </Box>
              <Box component="span" sx={{ overflowWrap: 'anywhere', minWidth: 0 }}>
                {rightsWords(change)}
              </Box>
            </Box>
          ))}
        </Box>
      </Fold>
    </Box>
  );
}
