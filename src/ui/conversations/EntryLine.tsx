import Box from '@mui/material/Box';
import type { VisitorEntry } from '../../core/wire/talk';
import { clockWords, dayWords, pageWords } from '../wording/times';
import { LinkedText } from './LinkedText';
import { CONVERSATIONS_WORDS } from '../wording/screens/conversations';

/** Whether an entry belongs to another conversation than the one above it. */
export function beginsAnother(entry: VisitorEntry, before: VisitorEntry | undefined): boolean {
  return before !== undefined && before.conversationId !== entry.conversationId;
}

/** Where another conversation of the same visitor begins, or goes on. */
export function Dated({ at, zone }: { readonly at: number; readonly zone: string }) {
  return (
    <Box
      component="li"
      sx={{
        gridColumn: '1 / -1',
        py: 1,
        textAlign: 'center',
        fontSize: '0.8125rem',
        color: 'text.secondary',
        borderTop: '1px solid var(--porch-rail)',
      }}
    >
      {dayWords(at, zone)}
    </Box>
  );
}

/** One line, with the page it was written on beside it where that changed. */
export function EntryLine({
  entry,
  page,
  before,
  zone,
  hasAddresses,
}: {
  entry: VisitorEntry;
  page: string | undefined;
  before: string | undefined;
  zone: string;
  /** Pages are named with their address. */
  hasAddresses: boolean;
}) {
  const trail =
    page === undefined || page === before
      ? null
      : `${clockWords(entry.storedMs, zone)}  ${pageWords(page, hasAddresses)}`;
  const isSaid = entry.body !== '';
  const isOurs = entry.author === 'person';
  return (
    <Box component="li" data-entry={entry.id} sx={{ display: 'contents' }}>
      <Box
        sx={{
          fontSize: '0.8125rem',
          color: 'text.secondary',
          textAlign: { md: 'end' },
          pt: { md: 1 },
          overflowWrap: 'anywhere',
          display: { xs: trail === null ? 'none' : 'block', md: 'block' },
        }}
      >
        {trail}
      </Box>
      {isSaid ? (
        <Box
          sx={{
            maxWidth: 560,
            px: 1.5,
            py: 1,
            borderRadius: '10px',
            whiteSpace: 'pre-wrap',
            overflowWrap: 'anywhere',
            '& a': { color: 'inherit' },
            bgcolor: isOurs ? 'var(--porch-lane)' : 'background.paper',
            border: '1px solid var(--porch-rail)',
            borderInlineStart: isOurs ? '3px solid var(--porch-door)' : '1px solid var(--porch-rail)',
          }}
        >
          <Box sx={{ fontSize: '0.8125rem', color: 'text.secondary' }}>
            {isOurs
              ? entry.name
              : entry.kind === 'note'
                ? CONVERSATIONS_WORDS.note
                : CONVERSATIONS_WORDS.visitor}{' '}
            · {clockWords(entry.storedMs, zone)}
          </Box>
          <LinkedText text={entry.body} />
        </Box>
      ) : (
        <Box sx={{ fontSize: '0.8125rem', color: 'text.secondary' }}>
          {systemWords(entry)} · {clockWords(entry.storedMs, zone)}
        </Box>
      )}
    </Box>
  );
}

function systemWords({ kind, author, name }: VisitorEntry): string {
  if (kind === 'joined') return CONVERSATIONS_WORDS.joined(name ?? CONVERSATIONS_WORDS.somebody);
  if (kind === 'note') return CONVERSATIONS_WORDS.leftAddress;
  if (author === 'house') return CONVERSATIONS_WORDS.endedAfterSilence;
  return author === 'visitor'
    ? CONVERSATIONS_WORDS.endedByVisitor
    : CONVERSATIONS_WORDS.endedBy(name ?? CONVERSATIONS_WORDS.somebody);
}
