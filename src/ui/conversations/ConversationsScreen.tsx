'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useEffect, useMemo } from 'react';
import { SECOND_MS } from '../../core/model/units';
import { useNow } from '../parts/use-now';
import { useToastsAbove } from '../parts/use-toasts-above';
import { HIDDEN } from '../theme/hidden';
import { ConversationList } from './ConversationList';
import { ConversationView } from './ConversationView';
import { keptAnswers } from './kept-answers';
import { type Desk, useDesk } from './use-desk';
import { useOpenConversation } from './use-open-conversation';
import { useSite } from '../frame/SiteContext';
import { useConnection } from '../frame/Connection';
import { CONVERSATIONS_WORDS } from '../wording/screens/conversations';
import { SHARED_WORDS } from '../wording/screens/shared';

/** Where one writes, at the foot of the screen. */
const COMPOSER_PX = 136;

/** The responders' desk: whose turn it is, and the conversation itself. */
export function ConversationsScreen() {
  const { overview, siteKey, personId } = useSite();
  const { isConnected, onEvent } = useConnection();
  const [chosen, setChosen] = useOpenConversation();
  const desk = useDesk(chosen);
  useToastsAbove(COMPOSER_PX, COMPOSER_PX);
  const answers = useMemo(() => keptAnswers(() => localStorage, { siteKey, personId }), [siteKey, personId]);
  useEffect(
    () =>
      onEvent((event) => {
        if (event.kind === 'gone') for (const id of event.ids) answers.set(id, { text: '', clientId: null });
      }),
    [onEvent, answers],
  );
  const isPhone = useMediaQuery('(max-width: 56.2em)', { noSsr: true });
  const now = useNow(overview.now, 10 * SECOND_MS);
  if (desk.failed !== null && desk.list === null)
    return (
      <Box sx={{ p: 4 }}>
        <Alert severity="error">{desk.failed}</Alert>
      </Box>
    );
  if (desk.list === null) return <LinearProgress aria-label={CONVERSATIONS_WORDS.loadingConversations} />;
  if (desk.list.length === 0 && desk.gone === null) return <Empty />;
  const list = (
    <ConversationList
      list={desk.list}
      youId={personId}
      chosen={chosen}
      now={now}
      hasMore={desk.hasMore}
      onChoose={setChosen}
      onMore={desk.loadMore}
    />
  );
  const back = isPhone ? (
    <Button size="small" onClick={() => setChosen(null)}>
      {CONVERSATIONS_WORDS.backToAll}
    </Button>
  ) : null;
  const talk =
    desk.talk === null ? (
      <Box sx={{ display: 'flex', flexDirection: 'column', height: '100%' }}>
        <Box sx={{ px: 2, py: 1 }}>{back}</Box>
        <Box sx={{ display: 'grid', placeItems: 'center', flex: 1, p: 4, color: 'text.secondary' }}>
          <span role="status">{insteadOfTalk(chosen, desk.gone)}</span>
        </Box>
      </Box>
    ) : (
      <ConversationView
        key={desk.talk.conversation.id}
        talk={desk.talk}
        answers={answers}
        onSent={desk.add}
        onEarlier={desk.readEarlier}
        onBack={back}
      />
    );
  return (
    <Box sx={{ height: 'calc(100vh - 3rem)', display: 'flex', flexDirection: 'column' }}>
      <Box component="h1" sx={HIDDEN}>
        {SHARED_WORDS.conversations}
      </Box>
      {isConnected ? null : (
        <Alert severity="warning" role="status" sx={{ borderRadius: 0 }}>
          {CONVERSATIONS_WORDS.connectionGone}
        </Alert>
      )}
      <Box
        sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '312px 1fr' }, flex: 1, minHeight: 0 }}
      >
        {isPhone ? (
          chosen === null ? (
            list
          ) : (
            talk
          )
        ) : (
          <>
            {list}
            {talk}
          </>
        )}
      </Box>
    </Box>
  );
}

/** What stands where no conversation is shown. */
function insteadOfTalk(chosen: string | null, gone: Desk['gone']): string {
  if (chosen === null) return CONVERSATIONS_WORDS.chooseOne;
  if (gone === null) return CONVERSATIONS_WORDS.loading;
  return CONVERSATIONS_WORDS.gone[gone];
}

function Empty() {
  const { siteKey } = useSite();
  return (
    <Box sx={{ maxWidth: 560, mx: 'auto', p: { xs: 2, md: 6 } }}>
      <Typography variant="h1" sx={{ mb: 1 }}>
        {CONVERSATIONS_WORDS.nobodyHasWrittenYet}
      </Typography>
      <Typography color="text.secondary" sx={{ mb: 2 }}>
        {CONVERSATIONS_WORDS.nobodyHasWrittenHelp}
      </Typography>
      <Box
        sx={{
          border: '1px dashed var(--porch-edge)',
          borderRadius: '12px',
          p: 2,
          mb: 3,
          color: 'text.secondary',
        }}
      >
        <Box sx={{ fontSize: '0.8125rem', fontWeight: 600 }}>{CONVERSATIONS_WORDS.exampleGroup}</Box>
        <Box>{CONVERSATIONS_WORDS.exampleQuestion}</Box>
        <Box sx={{ fontSize: '0.8125rem' }}>{CONVERSATIONS_WORDS.exampleWait}</Box>
      </Box>
      <Button variant="contained" href={`/s/${siteKey}/install`}>
        {SHARED_WORDS.putItOnYourSite}
      </Button>
    </Box>
  );
}
