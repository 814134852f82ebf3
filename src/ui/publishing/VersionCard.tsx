'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from 'next/link';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { Design } from '../../core/model/design';
import type { VersionRow, VersionsView } from '../../core/wire/desk';
import { dayWords } from '../wording/times';
import { Comparison } from './Comparison';
import { useSite } from '../frame/SiteContext';
import { PUBLISHING_WORDS } from '../wording/screens/publishing';
import { SHARED_WORDS } from '../wording/screens/shared';

interface VersionCardProps {
  readonly row: VersionRow;
  readonly view: VersionsView;
  readonly isOpen: boolean;
  readonly onToggle: () => void;
  readonly onBringBack: () => void;
  readonly load: (number: number) => Promise<Design>;
}

/** One version: what was said of it; opened, what is another in it than in any other. */
export function VersionCard({ row, view, isOpen, onToggle, onBringBack, load }: VersionCardProps) {
  const { siteKey, zone } = useSite();
  const { number } = row;
  const isLive = number === view.inForce;
  const id = `version-${number}`;
  return (
    <Box component="li" aria-labelledby={id} sx={{ py: 1.5, borderTop: '1px solid var(--porch-rail)' }}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
        <Box sx={{ flex: 1, minWidth: 240, overflowWrap: 'anywhere' }}>
          <Box component="h3" id={id} sx={{ m: 0, fontSize: '0.9375rem', fontWeight: 700 }}>
            {PUBLISHING_WORDS.versionNamed(number)}
            {isLive ? PUBLISHING_WORDS.liveNowMark : ''}
          </Box>
          {row.remark === '' ? null : <Box dir="auto">{row.remark}</Box>}
          <Box sx={{ fontSize: '0.8125rem', color: 'text.secondary' }}>
            {dayWords(row.at, zone)}, {row.personName}
            {row.broughtBackFrom === null ? '' : PUBLISHING_WORDS.broughtBackMark(row.broughtBackFrom)}
            {liveWords(row, zone)}
          </Box>
        </Box>
        <Box sx={{ display: 'flex', gap: 1 }}>
          <Button size="small" aria-expanded={isOpen} onClick={onToggle}>
            {PUBLISHING_WORDS.compare}
          </Button>
          <Button size="small" component={Link} href={`/s/${siteKey}/design?version=${number}`}>
            {PUBLISHING_WORDS.showIt}
          </Button>
          {isLive ? null : (
            <Button size="small" variant="outlined" onClick={onBringBack}>
              {SHARED_WORDS.bringBack}
            </Button>
          )}
        </Box>
      </Box>
      {isOpen ? <Compared number={number} view={view} load={load} /> : null}
    </Box>
  );
}

/** When it was live, where that is not simply from the moment it was made on. */
function liveWords({ at, liveFrom, liveUntil }: VersionRow, zone: string): string {
  if (liveFrom === null) return PUBLISHING_WORDS.takenBackMark;
  if (liveUntil !== null)
    return PUBLISHING_WORDS.forTimeMark(dayWords(liveFrom, zone), dayWords(liveUntil, zone));
  return liveFrom > at ? PUBLISHING_WORDS.fromTimeMark(dayWords(liveFrom, zone)) : '';
}

function Compared({ number, view, load }: Pick<VersionCardProps, 'view' | 'load'> & { number: number }) {
  const others = view.versions.map((one) => one.number).filter((one) => one !== number);
  const [against, setAgainst] = useState(others.find((one) => one < number) ?? others[0] ?? null);
  if (against === null)
    return <Box sx={{ fontSize: '0.8125rem', pt: 1 }}>{PUBLISHING_WORDS.nothingToCompare}</Box>;
  return (
    <Box sx={{ pt: 1.5, pl: { md: 2 } }}>
      <TextField
        select
        size="small"
        label={PUBLISHING_WORDS.versionAgainst(number)}
        value={against}
        onChange={(event) => setAgainst(Number(event.target.value))}
        sx={{ minWidth: 200, mb: 1 }}
      >
        {others.map((one) => (
          <MenuItem key={one} value={one}>
            {PUBLISHING_WORDS.versionOption(one)}
          </MenuItem>
        ))}
      </TextField>
      <Comparison key={`${against} ${number}`} from={against} to={number} load={load} />
    </Box>
  );
}
