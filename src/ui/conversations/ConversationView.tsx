'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Tooltip from '@mui/material/Tooltip';
import Typography from '@mui/material/Typography';
import { Fragment, type ReactNode, useEffect, useRef, useState } from 'react';
import { LIMITS } from '../../core/limits';
import type { VisitorEntry } from '../../core/wire/talk';
import { newClientId } from '../parts/new-client-id';
import type { DeskConversation, DeskTalk } from '../../core/wire/desk';
import { PortError } from '../frame/api';
import { languageName } from '../wording/languages';
import { Practice, visitorName } from './ConversationList';
import { Dated, EntryLine, beginsAnother } from './EntryLine';
import { FilledForms } from './FilledForms';
import { VisitorNowBar } from './VisitorNowBar';
import { VisitorShape } from './VisitorShape';
import { MARK_NAMES } from '../wording/visitor-marks';
import { useSite } from '../frame/SiteContext';
import { useConnection, usePort } from '../frame/Connection';
import { ReplyComposer } from './ReplyComposer';
import { conversationsPort } from './port';
import type { KeptAnswers } from './kept-answers';
import { saidOf } from './use-desk';
import { CONVERSATIONS_WORDS } from '../wording/screens/conversations';
import { SHARED_WORDS } from '../wording/screens/shared';

interface ConversationViewProps {
  readonly talk: DeskTalk;
  /** What was half-written here before another conversation was looked at, or the page was left. */
  readonly answers: KeptAnswers;
  readonly onSent: (entry: VisitorEntry) => void;
  readonly onEarlier: () => void;
  readonly onBack: ReactNode;
}

/** One conversation: who it is, what they see now, what was said on which page, and the answer. */
export function ConversationView({ talk, answers, onSent, onEarlier, onBack }: ConversationViewProps) {
  const { conversation, pages, forms } = talk;
  const said = saidOf(talk);
  const { zone, overview } = useSite();
  const { notice } = useConnection();
  const port = usePort(conversationsPort);
  const [kept] = useState(() => answers.get(conversation.id));
  const [draft, setDraftShown] = useState(kept.text);
  const typed = useRef(kept.text);
  const setDraft = (text: string): void => {
    typed.current = text;
    setDraftShown(text);
    answers.set(conversation.id, { text, clientId: null });
  };
  const [fault, setFault] = useState<string | null>(null);
  const sending = useRef(kept.clientId === null ? null : { body: kept.text, clientId: kept.clientId });
  const log = useRef<HTMLDivElement>(null);
  const newestId = said.at(-1)?.id;
  useEffect(() => {
    if (log.current !== null) log.current.scrollTop = log.current.scrollHeight;
  }, [newestId, forms.length]);
  const team = overview.teams.find(({ id }) => id === conversation.teamId);
  const over = draft.length - LIMITS.messageChars;

  /** Whether the end that is on its way was asked for here: the focus goes to what undoes it, and nobody else's does. */
  const isOurEnd = useRef(false);
  useEffect(() => {
    if (conversation.endsMs === null) isOurEnd.current = false; // undone: the next end may be a colleague's
  }, [conversation.endsMs]);
  /** Whether it was done; what went wrong is said. */
  const attempt = async (act: () => Promise<void>, otherwise: string): Promise<boolean> => {
    try {
      await act();
      setFault(null);
      return true;
    } catch (error) {
      notice(error);
      setFault(error instanceof PortError ? error.sentence : otherwise);
      return false;
    }
  };
  const reply = async (): Promise<void> => {
    const said = sending.current?.body === draft ? sending.current : { body: draft, clientId: newClientId() };
    sending.current = said;
    answers.set(conversation.id, { text: said.body, clientId: said.clientId });
    onSent(await port.reply(conversation.id, said));
    sending.current = null;
    if (typed.current === said.body) setDraft(''); // what was typed meanwhile stays
  };
  /** What is half-written stays. */
  const end = async (): Promise<void> => {
    isOurEnd.current = true;
    const isDone = await attempt(() => port.end(conversation.id), SHARED_WORDS.nothingChanged);
    if (!isDone) isOurEnd.current = false;
  };
  const send = async (thenEnd: boolean): Promise<void> => {
    if (draft.trim() === '' || over > 0) return;
    const isSent = await attempt(reply, CONVERSATIONS_WORDS.notSent);
    if (isSent && thenEnd) await end();
  };
  const undo = (): Promise<boolean> =>
    attempt(() => port.undoEnd(conversation.id), SHARED_WORDS.nothingChanged);

  const ending = endWords(conversation);
  const help = helpFor(conversation, overview.facts?.sendsLetters === true);
  return (
    <Box
      component="section"
      aria-label={CONVERSATIONS_WORDS.conversationWith(visitorName(conversation, overview.hasAddresses))}
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
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, minWidth: 0 }}>
          <VisitorShape mark={conversation.visitorMark} size={18} />
          <Tooltip
            describeChild
            title={
              isNamed(conversation)
                ? ''
                : CONVERSATIONS_WORDS.markHelp(MARK_NAMES[conversation.visitorMark.word])
            }
          >
            <Typography component="h2" sx={{ fontWeight: 700, fontSize: '1.125rem' }}>
              <bdi>{visitorName(conversation, overview.hasAddresses)}</bdi>
            </Typography>
          </Tooltip>
        </Box>
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
        {ending === null ? null : (
          <Button size="small" variant="outlined" sx={{ ml: 'auto' }} onClick={() => void end()}>
            {ending}
          </Button>
        )}
      </Box>
      <VisitorNowBar talk={talk} />
      <Box
        ref={log}
        role="log"
        aria-label={CONVERSATIONS_WORDS.messages}
        aria-live="polite"
        tabIndex={0}
        sx={{ flex: 1, overflow: 'auto', p: 2, minHeight: 0 }}
      >
        {talk.hasEarlier === true ? (
          <Button size="small" onClick={onEarlier} sx={{ mb: 1 }}>
            {CONVERSATIONS_WORDS.showEarlier}
          </Button>
        ) : null}
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
          {said.map((entry, index) => (
            <Fragment key={entry.id}>
              {beginsAnother(entry, said[index - 1]) ? <Dated at={entry.storedMs} zone={zone} /> : null}
              <EntryLine
                entry={entry}
                page={pages[entry.id]}
                before={pages[said[index - 1]?.id ?? -1]}
                zone={zone}
                hasAddresses={overview.hasAddresses}
              />
            </Fragment>
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
        <ReplyComposer
          label={conversation.status === 'note' ? CONVERSATIONS_WORDS.yourAnswer : CONVERSATIONS_WORDS.write}
          draft={draft}
          onDraft={setDraft}
          over={over}
          help={help}
          mayEnd={conversation.endsMs === null && !isOver(conversation)}
          onSend={(thenEnd) => void send(thenEnd)}
        />
        {conversation.endsMs === null ? null : (
          <EndsSoon isOurs={isOurEnd.current} onUndo={() => void undo()} />
        )}
      </Box>
    </Box>
  );
}

/** Undoes an end until it is carried out. Where it was ended here (`isOurs`), the focus follows. */
function EndsSoon({ isOurs, onUndo }: { readonly isOurs: boolean; readonly onUndo: () => void }) {
  return (
    <Box sx={{ display: 'flex', gap: 1, mt: 1 }}>
      <Button variant="outlined" autoFocus={isOurs} onClick={onUndo}>
        {SHARED_WORDS.undo}
      </Button>
      <Box component="span" role="status" sx={{ fontSize: '0.875rem', alignSelf: 'center' }}>
        {CONVERSATIONS_WORDS.endsSoon}
      </Box>
    </Box>
  );
}

/** Whether it is known what to call them, or they are one of ours. */
function isNamed({ visitorName: name, visitorMail, isPractice }: DeskConversation): boolean {
  return isPractice || Boolean(name) || visitorMail !== null;
}

/** Nothing is left to be ended. */
function isOver({ status, isDone }: DeskConversation): boolean {
  return status === 'ended' || isDone;
}

/** What ends a conversation; one that is over is marked as done. Null: there is nothing to do, or it is being done. */
function endWords(conversation: DeskConversation): string | null {
  if (conversation.isDone || conversation.endsMs !== null) return null;
  return isOver(conversation) ? CONVERSATIONS_WORDS.markDone : CONVERSATIONS_WORDS.end;
}

/** What becomes of an answer, where it is not read at once. */
function helpFor({ status, missedMs }: DeskConversation, sendsLetters: boolean): string | undefined {
  if (status === 'note') return sendsLetters ? undefined : CONVERSATIONS_WORDS.noEmailYet;
  if (status !== 'ended') return undefined;
  return missedMs === null ? CONVERSATIONS_WORDS.overAlready : CONVERSATIONS_WORDS.wasMissed;
}
