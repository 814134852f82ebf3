'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import NextLink from 'next/link';
import { useState } from 'react';
import { toast } from 'sonner';
import type { Board } from '../../core/boards/board';
import { LIMITS } from '../../core/limits';
import { PortError } from '../frame/port';
import { useSite } from '../frame/SiteContext';
import type { Boards } from '../frame/use-boards';
import { boardDeed, boardSentence } from '../wording/boards';

interface LooseBoardsProps {
  readonly boards: Boards;
  readonly widgetKeyOf: (id: string) => string | null;
}

/** Everything computed to be wrong or doubtful, each with the place to mend it, or put aside with a reason. */
export function LooseBoards({ boards: { open, aside }, widgetKeyOf }: LooseBoardsProps) {
  const { siteKey, takeBack, notice } = useSite();
  const [isAsideOpen, setAsideOpen] = useState(false);
  const [isLookOpen, setLookOpen] = useState(false);
  const mend = open.filter(({ level }) => level === 'mend');
  const look = open.filter(({ level }) => level === 'look');
  const rows = (all: readonly Board[]) =>
    all.map((one) => <BoardRow key={one.key} board={one} siteKey={siteKey} widgetKeyOf={widgetKeyOf} />);
  return (
    <Box
      component="section"
      aria-labelledby="boards-title"
      sx={{ py: 2, borderTop: '1px solid var(--porch-rail)' }}
    >
      <Typography component="h2" id="boards-title" sx={{ fontSize: 13, fontWeight: 700 }}>
        Loose boards
      </Typography>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {rows(mend)}
        {isLookOpen || mend.length === 0 ? rows(look) : null}
      </Box>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', mt: 0.5 }}>
        {mend.length > 0 && look.length > 0 ? (
          <Link
            component="button"
            type="button"
            variant="body2"
            aria-expanded={isLookOpen}
            onClick={() => setLookOpen(!isLookOpen)}
            sx={{ minHeight: 32 }}
          >
            {isLookOpen ? 'Only what has to be mended' : `${look.length} more worth a look`}
          </Link>
        ) : null}
        {aside.length === 0 ? null : (
          <Link
            component="button"
            type="button"
            variant="body2"
            aria-expanded={isAsideOpen}
            onClick={() => setAsideOpen(!isAsideOpen)}
            sx={{ minHeight: 32 }}
          >
            {aside.length} put aside
          </Link>
        )}
      </Box>
      {isAsideOpen ? (
        <Box
          component="ul"
          aria-label="Put aside"
          sx={{ m: 0, p: 0, listStyle: 'none', color: 'text.secondary' }}
        >
          {aside.map(({ board, aside: { reason, personName } }) => (
            <Box
              component="li"
              key={board.key}
              sx={{ py: 1, display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}
            >
              <Box sx={{ flex: 1, minWidth: 240 }}>
                {boardSentence(board)}
                <Box sx={{ fontSize: 13 }}>
                  Put aside by {personName}: “{reason}”
                </Box>
              </Box>
              <Button size="small" onClick={() => takeBack(board.key).catch(notice)}>
                Take back
              </Button>
            </Box>
          ))}
        </Box>
      ) : null}
    </Box>
  );
}

interface BoardRowProps {
  readonly board: Board;
  readonly siteKey: string;
  readonly widgetKeyOf: (id: string) => string | null;
}

function BoardRow({ board, siteKey, widgetKeyOf }: BoardRowProps) {
  const { putAside, notice } = useSite();
  const [reason, setReason] = useState<string | null>(null);
  const deed = boardDeed(board, widgetKeyOf);
  const store = (): void => {
    putAside(board.key, (reason ?? '').trim()).catch((error: unknown) => {
      notice(error);
      if (error instanceof PortError) toast.error(error.sentence);
    });
  };
  return (
    <Box component="li" sx={{ py: 1 }}>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
        <Box sx={{ flex: 1, minWidth: 240 }}>
          {boardSentence(board)}
          {board.level === 'look' ? null : (
            <Box
              component="span"
              sx={{ fontSize: 12, fontWeight: 700, color: 'var(--porch-clay)', ml: 1, whiteSpace: 'nowrap' }}
            >
              mend before publishing
            </Box>
          )}
        </Box>
        <Button component={NextLink} href={`/s/${siteKey}/${deed.path}`} variant="outlined" size="small">
          {deed.words}
        </Button>
        <Button
          size="small"
          aria-expanded={reason !== null}
          onClick={() => setReason(reason === null ? '' : null)}
        >
          Put aside
        </Button>
      </Box>
      {reason === null ? null : (
        <Box
          component="form"
          onSubmit={(event) => {
            event.preventDefault();
            if (reason.trim() !== '') store();
          }}
          sx={{ display: 'flex', gap: 1, mt: 1, alignItems: 'flex-start' }}
        >
          <TextField
            autoFocus
            fullWidth
            size="small"
            label="Because"
            value={reason}
            onChange={(event) => setReason(event.target.value)}
            helperText="Whoever reads this later will want to know why."
            slotProps={{ htmlInput: { maxLength: LIMITS.remarkChars } }}
          />
          <Button
            type="submit"
            variant="outlined"
            disabled={reason.trim() === ''}
            sx={{ minHeight: 40, whiteSpace: 'nowrap' }}
          >
            Put aside
          </Button>
        </Box>
      )}
    </Box>
  );
}
