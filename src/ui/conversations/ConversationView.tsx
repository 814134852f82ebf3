'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { type ReactNode, useEffect, useRef, useState } from 'react';
import { LIMITS } from '../../core/limits';
import type { VisitorEntry } from '../../core/wire/talk';
import { newClientId } from '../parts/new-client-id';
import type { DeskTalk } from '../../core/wire/desk';
import { PortError } from '../frame/api';
import { languageName } from '../wording/languages';
import { MOMENT_WORDS } from '../wording/moments';
import { clockWords, dayWords, pageWords } from '../wording/times';
import { Practice, visitorName } from './ConversationList';
import { EndDialog } from './EndDialog';
import { FilledForms } from './FilledForms';
import { useSite } from '../frame/SiteContext';
import { useConnection, usePort } from '../frame/Connection';
import { conversationsPort } from './port';
import { CONVERSATIONS_WORDS } from '../wording/screens/conversations';

interface ConversationViewProps {
  readonly talk: DeskTalk;
  /** What was half-written here before another conversation was looked at. */
  readonly firstDraft: string;
  readonly onDraft: (draft: string) => void;
  readonly onSent: (entry: VisitorEntry) => void;
  readonly onBack: ReactNode;
}

const SEEN_NOW = { asked: 'waiting', joined: 'talking', ended: 'goodbye', note: 'note-left' } as const;

/** One conversation: who it is, what they see now, what was said on which page, and the answer. */
export function ConversationView({ talk, firstDraft, onDraft, onSent, onBack }: ConversationViewProps) {
  const { conversation, entries, pages, forms, trail } = talk;
  const { zone, overview } = useSite();
  const { notice } = useConnection();
  const port = usePort(conversationsPort);
  const [draft, setDraftShown] = useState(firstDraft);
  const setDraft = (text: string): void => {
    setDraftShown(text);
    onDraft(text);
  };
  const [fault, setFault] = useState<string | null>(null);
  const [asksEnd, setAsksEnd] = useState(false);
  const sending = useRef<{ body: string; clientId: string } | null>(null);
  const log = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (log.current !== null) log.current.scrollTop = log.current.scrollHeight;
  }, [entries.length, forms.length]);
  const team = overview.teams.find(({ id }) => id === conversation.teamId);
  const over = draft.length - LIMITS.messageChars;

  const send = async (thenEnd: boolean): Promise<void> => {
    try {
      if (draft.trim() !== '') {
        if (over > 0) return;
        const said =
          sending.current?.body === draft ? sending.current : { body: draft, clientId: newClientId() };
        sending.current = said;
        onSent(await port.reply(conversation.id, said));
        sending.current = null;
        setDraft('');
      }
      if (thenEnd) await port.end(conversation.id);
      setFault(null);
    } catch (error) {
      notice(error);
      setFault(error instanceof PortError ? error.sentence : CONVERSATIONS_WORDS.notSent);
    }
  };

  const waits =
    conversation.status === 'note' && overview.facts?.sendsLetters !== true
      ? CONVERSATIONS_WORDS.noEmailYet
      : undefined;
  return (
    <Box
      component="section"
      aria-label={CONVERSATIONS_WORDS.conversationWith(visitorName(conversation))}
      sx={{ display: 'flex', flexDirection: 'column', height: '100%', minHeight: 0 }}
    >
      <Box
        sx={{
          minHeight: 56,
          px: 2,
          py: 1,
          display: 'flex',
          alignItems: 'center',
          gap: 2,
          flexWrap: 'wrap',
          borderBottom: '1px solid var(--porch-rail)',
          flex: 'none',
        }}
      >
        {onBack}
        <Typography component="h2" sx={{ fontWeight: 700, fontSize: '1.125rem' }}>
          <bdi>{visitorName(conversation)}</bdi>
        </Typography>
        {conversation.isPractice ? <Practice /> : null}
        <Box sx={{ fontSize: '0.8125rem', color: 'text.secondary' }}>
          {[
            languageName(conversation.locale),
            conversation.visitorMail,
            team === undefined
              ? null
              : CONVERSATIONS_WORDS.forTeam(team.name['en'] ?? Object.values(team.name)[0] ?? team.id),
          ]
            .filter(Boolean)
            .join(' · ')}
        </Box>
      </Box>
      <Box
        sx={{
          minHeight: 40,
          px: 2,
          py: 1,
          fontSize: '0.8125rem',
          borderBottom: '1px solid var(--porch-rail)',
          flex: 'none',
        }}
      >
        {CONVERSATIONS_WORDS.theVisitorSees} <b>{MOMENT_WORDS[SEEN_NOW[conversation.status]].name}</b>
        {CONVERSATIONS_WORDS.since(dayWords(conversation.askedMs, zone))}
        {trail.length < 2 ? null : (
          <Box component="span" sx={{ overflowWrap: 'anywhere' }}>
            {' '}
            {CONVERSATIONS_WORDS.pages(trail.map(([address]) => trailWords(address)).join(' → '))}
          </Box>
        )}
      </Box>
      <Box
        ref={log}
        role="log"
        aria-label={CONVERSATIONS_WORDS.messages}
        aria-live="polite"
        tabIndex={0}
        sx={{ flex: 1, overflow: 'auto', p: 2, minHeight: 0 }}
      >
        <FilledForms forms={forms.filter(({ place }) => place !== 'after')} zone={zone} />
        <Box
          component="ol"
          sx={{
            m: 0,
            p: 0,
            listStyle: 'none',
            maxWidth: 800,
            display: 'grid',
            gridTemplateColumns: { xs: '1fr', md: '168px 1fr' },
            columnGap: 2,
            rowGap: 1,
          }}
        >
          {entries.map((entry, index) => (
            <Line
              key={entry.id}
              entry={entry}
              page={pages[entry.id]}
              before={pages[entries[index - 1]?.id ?? -1]}
              zone={zone}
            />
          ))}
        </Box>
        <FilledForms forms={forms.filter(({ place }) => place === 'after')} zone={zone} />
      </Box>
      <Box
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          void send(false);
        }}
        sx={{ p: 2, borderTop: '1px solid var(--porch-rail)', bgcolor: 'background.paper', flex: 'none' }}
      >
        {fault === null ? null : (
          <Alert severity="error" role="alert" sx={{ mb: 1 }}>
            {fault}
          </Alert>
        )}
        <TextField
          label={conversation.status === 'note' ? CONVERSATIONS_WORDS.yourAnswer : CONVERSATIONS_WORDS.write}
          multiline
          maxRows={6}
          fullWidth
          size="small"
          value={draft}
          onChange={(event) => setDraft(event.target.value)}
          error={over > 0}
          helperText={over > 0 ? CONVERSATIONS_WORDS.tooLong(over) : waits}
          onKeyDown={(event) => {
            if (event.key !== 'Enter' || event.shiftKey || event.nativeEvent.isComposing) return;
            event.preventDefault();
            void send(false);
          }}
        />
        <Box sx={{ display: 'flex', gap: 1, mt: 1 }}>
          <Button type="submit" variant="contained" disabled={draft.trim() === '' || over > 0}>
            {CONVERSATIONS_WORDS.send}
          </Button>
          {conversation.status === 'ended' ? null : (
            <Button
              onClick={() => (draft.trim() === '' ? setAsksEnd(true) : void send(true))}
              disabled={over > 0}
            >
              {draft.trim() === '' ? CONVERSATIONS_WORDS.end : CONVERSATIONS_WORDS.sendAndEnd}
            </Button>
          )}
        </Box>
        <EndDialog isOpen={asksEnd} onClose={() => setAsksEnd(false)} onEnd={() => void send(true)} />
      </Box>
    </Box>
  );
}

/** One line, with the page it was written on beside it where that changed. */
function Line({
  entry,
  page,
  before,
  zone,
}: {
  entry: VisitorEntry;
  page: string | undefined;
  before: string | undefined;
  zone: string;
}) {
  const trail =
    page === undefined || page === before ? null : `${clockWords(entry.storedMs, zone)}  ${pageWords(page)}`;
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
          <bdi>{entry.body}</bdi>
        </Box>
      ) : (
        <Box sx={{ fontSize: '0.8125rem', color: 'text.secondary' }}>
          {systemWords(entry)} · {clockWords(entry.storedMs, zone)}
        </Box>
      )}
    </Box>
  );
}

/** A step of the trail is an address without its scheme. */
function trailWords(address: string): string {
  return address.slice(Math.max(0, address.indexOf('/')));
}

function systemWords({ kind, author, name }: VisitorEntry): string {
  if (kind === 'joined') return CONVERSATIONS_WORDS.joined(name ?? CONVERSATIONS_WORDS.somebody);
  if (kind === 'note') return CONVERSATIONS_WORDS.leftAddress;
  if (author === 'house') return CONVERSATIONS_WORDS.endedAfterSilence;
  return author === 'visitor'
    ? CONVERSATIONS_WORDS.endedByVisitor
    : CONVERSATIONS_WORDS.endedBy(name ?? CONVERSATIONS_WORDS.somebody);
}
