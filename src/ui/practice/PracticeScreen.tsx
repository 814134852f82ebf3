'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { ConversationView } from '../conversations/ConversationView';
import { NOT_KEPT } from '../conversations/kept-answers';
import { conversationsPort } from '../conversations/port';
import { useDesk } from '../conversations/use-desk';
import { usePort } from '../frame/Connection';
import { screenAt } from '../frame/screens';
import { useSite } from '../frame/SiteContext';
import { Column } from '../parts/Column';
import { pageWords } from '../wording/times';
import { useAttempt } from '../parts/use-attempt';
import { publishingPort } from '../publishing/port';
import { PRACTICE_WORDS } from '../wording/screens/practice';

/** Both sides of a conversation at once: the visitor's page left, one's own desk right. It is practice, and counts nowhere. */
export function PracticeScreen() {
  const { setPresenceChoice } = useSite();
  const port = usePort(publishingPort);
  const { isBusy, fault, run } = useAttempt(PRACTICE_WORDS.notStarted);
  /** What lets a page show the draft to whoever opened it. */
  const [pass, setPass] = useState<string | null>(null);
  const start = async (): Promise<void> => {
    const { link } = await port.openPreview();
    await setPresenceChoice('in');
    setPass(new URL(link).hash);
  };
  if (pass !== null) return <BothSides pass={pass} />;
  return (
    <Column>
      <Typography variant="h1" sx={{ mb: 2 }}>
        {screenAt('practice').name}
      </Typography>
      <Typography sx={{ mb: 1 }}>{PRACTICE_WORDS.howItWorks}</Typography>
      <Typography sx={{ mb: 3 }}>{PRACTICE_WORDS.beforeYouStart}</Typography>
      {fault === null ? null : (
        <Alert severity="error" sx={{ mb: 2 }}>
          {fault}
        </Alert>
      )}
      <Button variant="contained" loading={isBusy} onClick={() => void run(start)}>
        {PRACTICE_WORDS.start}
      </Button>
    </Column>
  );
}

function BothSides({ pass }: { readonly pass: string }) {
  const { siteKey } = useSite();
  const conversations = usePort(conversationsPort);
  const [begunAt] = useState(() => Date.now());
  const [page, setPage] = useState(0);
  const list = useDesk(null).list ?? [];
  // Not what colleagues try by a private view of the site's own pages.
  const own = list
    .filter(({ isPractice, page: from }) => isPractice && pageWords(from) === `/w/${siteKey}/practice`)
    .toSorted((a, b) => b.lastEntryMs - a.lastEntryMs)[0];
  const desk = useDesk(own?.id ?? null);
  const { isBusy, fault, run } = useAttempt(PRACTICE_WORDS.notRemoved);
  const remove = async (): Promise<void> => {
    if (own !== undefined) await conversations.removePractice(own.id);
    setPage(page + 1);
  };
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', height: { md: 'calc(100vh - 3rem)' } }}>
      <Box
        sx={{
          display: 'flex',
          alignItems: 'center',
          gap: 2,
          flexWrap: 'wrap',
          px: 2,
          py: 1,
          borderBottom: '1px solid var(--porch-rail)',
        }}
      >
        <Typography component="h1" sx={{ fontWeight: 700 }}>
          {screenAt('practice').name}
        </Typography>
        <Typography variant="body2" role="status" sx={{ flex: 1 }}>
          {fault ?? (own === undefined ? PRACTICE_WORDS.stepWrite : PRACTICE_WORDS.stepAnswer)}
        </Typography>
        <Button
          size="small"
          variant="outlined"
          loading={isBusy}
          disabled={own === undefined}
          onClick={() => void run(remove)}
        >
          {PRACTICE_WORDS.remove}
        </Button>
        <Button size="small" variant="contained" href={`/s/${siteKey}/design`}>
          {PRACTICE_WORDS.done}
        </Button>
      </Box>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' },
          gridTemplateRows: { xs: '600px auto', md: '1fr' },
          flex: 1,
          minHeight: 0,
        }}
      >
        <Box
          key={page}
          component="iframe"
          title={PRACTICE_WORDS.theVisitorsPage}
          src={`/w/${siteKey}/practice?${begunAt + page}${pass}`}
          sx={{ border: 0, width: '100%', height: '100%', display: 'block' }}
        />
        <Box
          component="section"
          aria-label={PRACTICE_WORDS.yourDesk}
          sx={{
            minHeight: 0,
            bgcolor: 'background.paper',
            borderLeft: { md: '1px solid var(--porch-rail)' },
          }}
        >
          {desk.talk === null ? (
            <Box
              sx={{ display: 'grid', placeItems: 'center', height: '100%', p: 4, color: 'text.secondary' }}
            >
              {PRACTICE_WORDS.deskEmpty}
            </Box>
          ) : (
            <ConversationView
              key={desk.talk.conversation.id}
              talk={desk.talk}
              answers={NOT_KEPT}
              onSent={desk.add}
              onEarlier={desk.readEarlier}
              onBack={null}
            />
          )}
        </Box>
      </Box>
    </Box>
  );
}
