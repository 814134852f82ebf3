'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import type { DeskConversation } from '../../core/wire/desk';
import { lengthWords, pageWords } from '../wording/times';
import { useSite } from '../frame/SiteContext';
import { groupsOf } from './groups';
import { MARK_NAMES } from '../wording/visitor-marks';
import { VisitorShape } from './VisitorShape';
import { conversationPath } from './use-open-conversation';
import { CONVERSATIONS_WORDS } from '../wording/screens/conversations';
import { SHARED_WORDS } from '../wording/screens/shared';

interface ConversationListProps {
  readonly list: readonly DeskConversation[];
  /** Whoever looks. */
  readonly youId: string;
  readonly chosen: string | null;
  readonly now: number;
  readonly hasMore: boolean;
  readonly onChoose: (id: string) => void;
  readonly onMore: () => void;
}

/** All conversations, grouped by whose turn it is. */
export function ConversationList({
  list,
  youId,
  chosen,
  now,
  hasMore,
  onChoose,
  onMore,
}: ConversationListProps) {
  return (
    <Box
      component="nav"
      aria-label={SHARED_WORDS.conversations}
      sx={{
        overflow: 'auto',
        height: '100%',
        bgcolor: 'background.paper',
        borderRight: { md: '1px solid var(--porch-rail)' },
      }}
    >
      {groupsOf(list, youId).map(({ title, conversations }) =>
        conversations.length === 0 ? null : (
          <Box key={title} component="section" aria-label={`${title}, ${conversations.length}`}>
            <Typography
              component="h2"
              sx={{
                fontSize: '0.8125rem',
                fontWeight: 700,
                px: 2,
                pt: 1.5,
                pb: 0.5,
                position: 'sticky',
                top: 0,
                zIndex: 1,
                bgcolor: 'background.paper',
              }}
            >
              {title}{' '}
              <Box component="span" sx={{ color: 'text.secondary', fontVariantNumeric: 'tabular-nums' }}>
                {conversations.length}
              </Box>
            </Typography>
            <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
              {conversations.map((one) => (
                <li key={one.id}>
                  <Row one={one} isChosen={one.id === chosen} now={now} onChoose={onChoose} />
                </li>
              ))}
            </Box>
          </Box>
        ),
      )}
      {hasMore ? (
        <Box sx={{ p: 2 }}>
          <Button size="small" onClick={onMore}>
            {CONVERSATIONS_WORDS.showOlder}
          </Button>
        </Box>
      ) : null}
    </Box>
  );
}

function Row({
  one,
  isChosen,
  now,
  onChoose,
}: {
  one: DeskConversation;
  isChosen: boolean;
  now: number;
  onChoose: (id: string) => void;
}) {
  const { overview, siteKey } = useSite();
  return (
    <ButtonBase
      component="a"
      href={conversationPath(siteKey, one.id)}
      data-conversation={one.id}
      aria-current={isChosen ? 'page' : undefined}
      onClick={(event) => {
        // With a key held the browser opens it as it does any address.
        if (event.ctrlKey || event.metaKey || event.shiftKey || event.altKey) return;
        event.preventDefault();
        onChoose(one.id);
      }}
      sx={{
        width: '100%',
        display: 'block',
        textAlign: 'start',
        px: 2,
        py: 1,
        minHeight: 56,
        borderInlineStart: isChosen ? '3px solid var(--porch-door)' : '3px solid transparent',
        bgcolor: isChosen ? 'var(--porch-lane)' : 'transparent',
        '&:hover': { bgcolor: 'var(--porch-lane)' },
      }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
        <VisitorShape mark={one.visitorMark} size={14} />
        <Box
          component="bdi"
          sx={{
            flex: 1,
            fontWeight: 600,
            overflow: 'hidden',
            textOverflow: 'ellipsis',
            whiteSpace: 'nowrap',
          }}
        >
          {visitorName(one, overview.hasAddresses)}
        </Box>
        <Box
          sx={{
            fontSize: '0.8125rem',
            color: 'text.secondary',
            whiteSpace: 'nowrap',
            fontVariantNumeric: 'tabular-nums',
          }}
        >
          {sinceWords(one, now)}
        </Box>
      </Box>
      <Box
        dir="auto"
        sx={{
          fontSize: '0.8125rem',
          color: 'text.secondary',
          overflow: 'hidden',
          textOverflow: 'ellipsis',
          whiteSpace: 'nowrap',
        }}
      >
        {one.isPractice ? <Practice /> : null}
        {one.lastBody === '' ? pageWords(one.page, overview.hasAddresses) : one.lastBody}
      </Box>
    </ButtonBase>
  );
}

function sinceWords(
  { status, waitingSinceMs, missedMs, leftMs, lastEntryMs }: DeskConversation,
  now: number,
): string {
  if (status === 'ended' && missedMs !== null) return CONVERSATIONS_WORDS.missed(lengthWords(now - missedMs));
  if (waitingSinceMs !== null) return CONVERSATIONS_WORDS.waits(lengthWords(now - waitingSinceMs));
  if (leftMs !== null) return CONVERSATIONS_WORDS.left(lengthWords(now - leftMs));
  return lengthWords(now - lastEntryMs) + CONVERSATIONS_WORDS.ago;
}

/** Somebody of ours tried the draft by a private link. */
export function Practice() {
  return (
    <Box
      component="span"
      sx={{
        fontSize: '0.8125rem',
        fontWeight: 600,
        color: 'text.primary',
        bgcolor: 'var(--porch-lane)',
        border: '1px solid var(--porch-rail)',
        borderRadius: '6px',
        px: 0.75,
        mr: 0.75,
      }}
    >
      {CONVERSATIONS_WORDS.practice}
    </Box>
  );
}

/** What a visitor is called: their name, their mail, or a word of their own and the page they asked on. */
export function visitorName(
  { visitorName: name, visitorMail, visitorMark: mark, page, isPractice }: DeskConversation,
  hasAddresses: boolean,
): string {
  if (isPractice) return CONVERSATIONS_WORDS.practiceVisitor;
  return (
    name || visitorMail || CONVERSATIONS_WORDS.visitorOn(MARK_NAMES[mark.word], pageWords(page, hasAddresses))
  );
}
