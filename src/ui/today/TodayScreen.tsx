'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MuiLink from '@mui/material/Link';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { type EpochMs, SECOND_MS } from '../../core/model/units';
import { useNow } from '../parts/use-now';
import { Column } from '../parts/Column';
import { FirstSteps } from '../parts/FirstSteps';
import Link from 'next/link';
import { type ReactNode, useEffect, useState } from 'react';
import { changesOf } from '../../core/publish/changes';
import { groupsOf, ourTurnSince } from '../conversations/groups';
import type { DeskConversation, DraftView } from '../../core/wire/desk';
import { FindingList } from '../findings/FindingList';
import { lengthWords } from '../wording/times';
import { useSite } from '../frame/SiteContext';
import { useConnection, usePort } from '../frame/Connection';
import { useFindings } from '../findings/FindingsContext';
import { designPort } from '../design/port';
import { conversationsPort } from '../conversations/port';
import { conversationPath } from '../conversations/use-open-conversation';
import { TODAY_WORDS } from '../wording/screens/today';
import { SHARED_WORDS } from '../wording/screens/shared';

/** What needs a person now. Every line is a sentence with its one action; lines with nothing to say are absent. */
export function TodayScreen() {
  const { siteKey, overview, role } = useSite();
  const { findings } = useFindings();
  const { list, draft } = useToday();
  if (list === null) return <LinearProgress aria-label={TODAY_WORDS.loadingToday} />;

  const [forUs, , notes] = groupsOf(list.filter(({ isPractice }) => !isPractice));
  // Whoever has given up waits no more.
  const waiting = (forUs?.conversations ?? []).filter(({ status }) => status !== 'ended');
  const missedCount = (forUs?.conversations ?? []).length - waiting.length;
  const [longest] = waiting;
  const noteCount = notes?.conversations.length ?? 0;
  const unpublished =
    draft === null || overview.publishedDesign === null
      ? 0
      : changesOf(overview.publishedDesign, draft.design).length;
  const live =
    overview.version === null ? '' : `${TODAY_WORDS.live(overview.version, overview.pausedAt !== null)} `;
  const lines: ReactNode[] = [];
  if (longest !== undefined)
    lines.push(
      <Line
        key="us"
        title={SHARED_WORDS.yourTurn}
        action={TODAY_WORDS.answer}
        href={conversationPath(siteKey, longest.id)}
      >
        {TODAY_WORDS.visitorsWait(waiting.length)}{' '}
        <Waited since={ourTurnSince(longest)} heard={overview.now} />.
      </Line>,
    );
  if (missedCount > 0)
    lines.push(
      <Line
        key="missed"
        title={TODAY_WORDS.missed}
        action={TODAY_WORDS.answer}
        href={conversationPath(siteKey, null)}
      >
        {TODAY_WORDS.questionsMissed(missedCount)}
      </Line>,
    );
  if (noteCount > 0)
    lines.push(
      <Line
        key="notes"
        title={SHARED_WORDS.notes}
        action={TODAY_WORDS.open}
        href={conversationPath(siteKey, null)}
      >
        {TODAY_WORDS.notesNeedAnswers(noteCount)}
      </Line>,
    );
  if (unpublished > 0)
    lines.push(
      <Line
        key="draft"
        title={TODAY_WORDS.onTheSite}
        action={TODAY_WORDS.showChanges}
        href={`/s/${siteKey}/design`}
      >
        {live}
        {TODAY_WORDS.notPublished(unpublished)}
      </Line>,
    );
  // Responders are told of none; for everybody else nothing is quiet before they are worked out.
  const isQuiet = lines.length === 0 && (role === 'responder' || findings?.open.length === 0);
  const hasFindings = findings !== null && findings.open.length + findings.dismissal.length > 0;
  return (
    <Column>
      <Typography variant="h1" sx={{ mb: 2 }}>
        {SHARED_WORDS.today}
      </Typography>
      {overview.version === null && role !== 'responder' ? (
        <Box sx={{ mb: 3, maxWidth: '32rem' }}>
          <FirstSteps siteKey={siteKey} onClose={null} />
        </Box>
      ) : null}
      {isQuiet ? (
        <Typography color="text.secondary">{TODAY_WORDS.allQuiet}</Typography>
      ) : (
        <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
          {lines}
        </Box>
      )}
      {hasFindings && findings !== null ? (
        <FindingList
          findings={findings}
          widgetKeyOf={(id) => draft?.design.widgets.find((one) => one.id === id)?.key ?? null}
        />
      ) : null}
      {overview.version === null || role === 'responder' ? null : (
        <Typography variant="body2" color="text.secondary" sx={{ mt: 3 }}>
          {unpublished > 0 ? '' : `${live} `}
          <MuiLink component={Link} href={`/s/${siteKey}/versions`}>
            {SHARED_WORDS.versions}
          </MuiLink>
        </Typography>
      )}
    </Column>
  );
}

/** What today is made of, loaded anew whenever somebody writes; null until it is there. */
function useToday(): { list: readonly DeskConversation[] | null; draft: DraftView | null } {
  const { role } = useSite();
  const { notice, onEvent } = useConnection();
  const port = usePort(conversationsPort);
  const draftPort = usePort(designPort);
  const [list, setList] = useState<readonly DeskConversation[] | null>(null);
  const [draft, setDraft] = useState<DraftView | null>(null);
  useEffect(() => {
    const load = (): void =>
      void port.listConversations(null).then(({ conversations }) => setList(conversations), notice);
    load();
    return onEvent(
      (event) =>
        (event.kind === 'entry' ||
          event.kind === 'conversation' ||
          event.kind === 'gone' ||
          (event.kind === 'connection' && event.isOpen)) &&
        load(),
    );
  }, [port, notice, onEvent]);
  useEffect(() => {
    if (role !== 'responder') draftPort.getDraft().then(setDraft, notice);
  }, [draftPort, notice, role]);
  return { list, draft };
}

/** How long somebody has waited; it moves while one looks. */
function Waited({ since, heard }: { readonly since: EpochMs; readonly heard: EpochMs }) {
  return lengthWords(useNow(heard, 10 * SECOND_MS) - since);
}

function Line({
  title,
  action,
  href,
  children,
}: {
  title: string;
  action: string;
  href: string;
  children: ReactNode;
}) {
  return (
    <Box
      component="li"
      sx={{
        py: 2,
        borderTop: '1px solid var(--porch-rail)',
        display: 'flex',
        gap: 2,
        alignItems: 'center',
        flexWrap: 'wrap',
      }}
    >
      <Box sx={{ flex: 1, minWidth: 240 }}>
        <Typography component="h2" sx={{ fontSize: '0.8125rem', fontWeight: 700 }}>
          {title}
        </Typography>
        {children}
      </Box>
      <Button component={Link} href={href} variant="outlined" size="small">
        {action}
      </Button>
    </Box>
  );
}
