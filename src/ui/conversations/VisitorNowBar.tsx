import Box from '@mui/material/Box';
import type { Moment } from '../../core/model/moment';
import type { DeskConversation, DeskTalk, Trail } from '../../core/wire/desk';
import { useSite } from '../frame/SiteContext';
import { MOMENT_WORDS } from '../wording/moments';
import { clockWords, dayWords, pageWords } from '../wording/times';
import { CONVERSATIONS_WORDS } from '../wording/screens/conversations';

/** What the visitor really sees, where they are, and the pages they came by. */
export function VisitorNowBar({
  talk: { conversation, visitorNow, trail },
}: {
  readonly talk: Pick<DeskTalk, 'conversation' | 'visitorNow' | 'trail'>;
}) {
  const { zone, overview } = useSite();
  const { leftMs, responderName, askedMs } = conversation;
  const before = trail.filter(([, at]) => at <= askedMs);
  const since = trail.filter(([, at]) => at > askedMs);
  const isHere = since.length === 0 || (visitorNow !== null && visitorNow.goneMs === null);
  const paths = (pages: Trail): string =>
    pages.map(([address]) => pageWords(`https://${address}`, overview.hasAddresses)).join(' → ');
  return (
    <Box
      component="section"
      aria-label={CONVERSATIONS_WORDS.visitorNow}
      sx={{
        minHeight: 40,
        px: 2,
        py: 1,
        fontSize: '0.8125rem',
        borderBottom: '1px solid var(--porch-rail)',
        flex: 'none',
        overflowWrap: 'anywhere',
      }}
    >
      <Seen conversation={conversation} visitorNow={visitorNow} />{' '}
      {leftMs === null
        ? null
        : `${CONVERSATIONS_WORDS.responderLeft(responderName ?? CONVERSATIONS_WORDS.somebody, clockWords(leftMs, zone))} `}
      {CONVERSATIONS_WORDS.asked(dayWords(askedMs, zone))}
      {before.length < 2 ? null : ` ${CONVERSATIONS_WORDS.pagesBefore(paths(before))}`}
      {since.length < 2 && isHere ? null : ` ${CONVERSATIONS_WORDS.pagesSince(paths(since))}`}
    </Box>
  );
}

function Seen({ conversation, visitorNow }: Pick<DeskTalk, 'conversation' | 'visitorNow'>) {
  const { zone, overview } = useSite();
  const atNext = <b>{MOMENT_WORDS[seenNext(conversation)].name}</b>;
  if (visitorNow === null)
    return (
      <>
        {CONVERSATIONS_WORDS.windowShows} {atNext}.
      </>
    );
  const { moment, page, goneMs } = visitorNow;
  if (goneMs !== null)
    return (
      <>
        {CONVERSATIONS_WORDS.hasLeft(clockWords(goneMs, zone))} {CONVERSATIONS_WORDS.whenBack} {atNext}.
      </>
    );
  const where =
    page === null
      ? ''
      : CONVERSATIONS_WORDS.onPage(
          pageWords(`https://${page[0]}`, overview.hasAddresses),
          clockWords(page[1], zone),
        );
  if (moment === 'passing-by' || moment === 'invited') return CONVERSATIONS_WORDS.windowClosed(where);
  return (
    <>
      {CONVERSATIONS_WORDS.theVisitorSees} <b>{MOMENT_WORDS[moment].name}</b>
      {where}.
    </>
  );
}

/** What the window shows of a conversation once it is opened again. */
function seenNext({ status, leftMs }: DeskConversation): Moment {
  if (status === 'asked') return leftMs === null ? 'waiting' : 'slow-reply';
  return ({ joined: 'talking', ended: 'goodbye', note: 'note-left' } as const)[status];
}
