'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { CaseCondition } from '../../../core/model/case-condition';
import { CASE_CONDITIONS_MAX } from '../../../core/words/check-case';
import { caseWords } from '../../wording/cases';
import { DESIGN_WORDS } from '../../wording/screens/design';
import { SHARED_WORDS } from '../../wording/screens/shared';

interface CaseSheetProps {
  readonly when: readonly CaseCondition[];
  readonly offered: readonly CaseCondition[];
  readonly isFirst: boolean;
  readonly isLast: boolean;
  nameOfTeam(id: string): string;
  onChange(when: readonly CaseCondition[]): void;
  onMove(by: -1 | 1): void;
  onRemove(): void;
}

/** What an own case asks, and where it stands among the others. Its words are edited on the stage. */
export function CaseSheet({
  when,
  offered,
  isFirst,
  isLast,
  nameOfTeam,
  onChange,
  onMove,
  onRemove,
}: CaseSheetProps) {
  const free = offered.filter((one) => !when.some((other) => isSame(one, other)));
  return (
    <Box role="dialog" aria-label={DESIGN_WORDS.forWhom} sx={{ p: 2, width: 300 }}>
      <Typography variant="body2" sx={{ mb: 1.5 }}>
        {DESIGN_WORDS.forWhomHelp}
      </Typography>
      {when.map((one, index) => (
        <Box key={one.join(' ')} sx={{ display: 'flex', gap: 0.75, mb: 1 }}>
          <TextField
            select
            size="small"
            fullWidth
            label={index === 0 ? DESIGN_WORDS.forLabel : DESIGN_WORDS.andLabel}
            value={one.join(' ')}
            onChange={(event) => {
              const next = offered.find((other) => other.join(' ') === event.target.value);
              if (next !== undefined) onChange(when.map((other, at) => (at === index ? next : other)));
            }}
          >
            {[one, ...free].map((other) => (
              <MenuItem key={other.join(' ')} value={other.join(' ')}>
                {caseWords([other], nameOfTeam)}
              </MenuItem>
            ))}
          </TextField>
          {when.length === 1 ? null : (
            <Button
              size="small"
              aria-label={DESIGN_WORDS.removeOne(caseWords([one], nameOfTeam))}
              onClick={() => onChange(when.filter((_, at) => at !== index))}
            >
              ×
            </Button>
          )}
        </Box>
      ))}
      {when.length >= CASE_CONDITIONS_MAX || free[0] === undefined ? null : (
        <Button size="small" onClick={() => free[0] !== undefined && onChange([...when, free[0]])}>
          {DESIGN_WORDS.addCondition}
        </Button>
      )}
      <Box sx={{ display: 'flex', gap: 0.5, mt: 1.5, pt: 1, borderTop: '1px solid var(--porch-rail)' }}>
        <Step isIdle={isFirst} onClick={() => onMove(-1)}>
          {DESIGN_WORDS.earlier}
        </Step>
        <Step isIdle={isLast} onClick={() => onMove(1)}>
          {DESIGN_WORDS.later}
        </Step>
        <Box sx={{ flex: 1 }} />
        <Button size="small" color="error" onClick={onRemove}>
          {SHARED_WORDS.remove}
        </Button>
      </Box>
    </Box>
  );
}

/** Keeps the focus where it can go no further: a disabled button would lose it, and Escape with it. */
function Step({ isIdle, onClick, children }: { isIdle: boolean; onClick: () => void; children: string }) {
  return (
    <Button
      size="small"
      aria-disabled={isIdle}
      onClick={isIdle ? undefined : onClick}
      sx={isIdle ? { color: 'text.disabled' } : {}}
    >
      {children}
    </Button>
  );
}

function isSame(a: CaseCondition, b: CaseCondition): boolean {
  return a.join(' ') === b.join(' ');
}
