'use client';

import Button from '@mui/material/Button';
import Paper from '@mui/material/Paper';
import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { usePathname, useRouter } from 'next/navigation';
import { useEffect, useId, useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import { type Question, questionsFor } from '../../core/alerts/questions';
import type { DeskConversation } from '../../core/wire/desk';
import { useSite } from '../frame/SiteContext';
import { ALERTS_WORDS } from '../wording/screens/alerts';
import { type Alerter, permissionNow, startAlerter } from './alerter';

/** So much of the first words stands in a notification. */
const WORDS_MAX = 140;

/** Tells whoever answers of questions while they are elsewhere, and asks them, once, whether it may. */
export function Alerts({ waiting }: { readonly waiting: readonly DeskConversation[] | null }) {
  const { siteKey, siteName, personId, overview } = useSite();
  const { alerts, teamIds, presenceChoice } = overview;
  const router = useRouter();
  const [, , , screen, conversationId = null] = usePathname().split('/');
  const shownId = screen === 'conversations' ? conversationId : null;
  const questions = useMemo(
    () => (waiting === null ? null : questionsFor(waiting, { personId, teamIds, scope: alerts.scope })),
    [waiting, personId, teamIds, alerts.scope],
  );
  const name = `sunny-porch-alerts:${siteKey}:${personId}`;
  const alerter = useRef<Alerter | null>(null);
  useEffect(() => {
    const started = startAlerter({
      name,
      wordsOf: (all, showsWords) => wordsOf(all, showsWords, siteName),
      onOpen: (id) => router.push(`/s/${siteKey}/conversations/${id}`),
    });
    alerter.current = started;
    return () => started.stop();
  }, [name, router, siteKey, siteName]);
  const isAnswering = presenceChoice === 'in';
  useEffect(
    () => alerter.current?.follow({ questions, settings: alerts, isAnswering, conversationId: shownId }),
    [name, router, siteKey, siteName, questions, alerts, isAnswering, shownId],
  );
  const isWanted = isAnswering && alerts.isNotified && (questions?.length ?? 0) > 0;
  return <AskOnce name={name} isWanted={isWanted} />;
}

function wordsOf(
  questions: readonly Question[],
  showsWords: boolean,
  siteName: string,
): { title: string; body: string } {
  const [first] = questions;
  if (first === undefined || questions.length > 1)
    return { title: ALERTS_WORDS.manyAsked(questions.length, siteName), body: ALERTS_WORDS.wordsHidden };
  const { visitorName, lastAuthor, lastBody } = first.conversation;
  const words = showsWords && lastAuthor === 'visitor' ? lastBody.trim() : '';
  return {
    title: ALERTS_WORDS.asksOn(visitorName ?? ALERTS_WORDS.aVisitor, siteName),
    body: words === '' ? ALERTS_WORDS.wordsHidden : words.slice(0, WORDS_MAX),
  };
}

/** The question before the browser's own, which a browser asks only once: in words, and when there is a reason. */
function AskOnce({ name, isWanted }: { readonly name: string; readonly isWanted: boolean }) {
  const id = useId();
  const [isAsked, setAsked] = useState(true);
  useEffect(() => {
    if (isWanted) setAsked(permissionNow() !== 'default' || wasAsked(name));
  }, [isWanted, name]);
  useEffect(() => {
    // It was answered in another tab.
    const hear = ({ key }: StorageEvent): void => {
      if (key === askedKey(name)) setAsked(true);
    };
    addEventListener('storage', hear);
    return () => removeEventListener('storage', hear);
  }, [name]);
  if (isAsked || !isWanted) return null;
  const answer = (says: boolean): void => {
    keepAsked(name);
    setAsked(true);
    if (!says) return void toast(ALERTS_WORDS.later);
    void Notification.requestPermission().then((permission) =>
      permission === 'granted' ? toast.success(ALERTS_WORDS.nowOn) : toast(ALERTS_WORDS.refused),
    );
  };
  return (
    <Paper
      component="section"
      aria-labelledby={id}
      elevation={6}
      sx={{
        position: 'fixed',
        top: '3.5rem',
        right: { xs: 8, sm: 16 },
        left: { xs: 8, sm: 'auto' },
        width: { sm: 360 },
        p: 2,
        zIndex: 19,
      }}
    >
      <Typography id={id} variant="subtitle1" component="h2" sx={{ fontWeight: 700 }}>
        {ALERTS_WORDS.askTitle}
      </Typography>
      <Typography variant="body2" sx={{ my: 1 }}>
        {ALERTS_WORDS.askHelp}
      </Typography>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button variant="contained" onClick={() => answer(true)}>
          {ALERTS_WORDS.yes}
        </Button>
        <Button onClick={() => answer(false)}>{ALERTS_WORDS.no}</Button>
      </Box>
    </Paper>
  );
}

const askedKey = (name: string): string => `${name}:asked`;

function wasAsked(name: string): boolean {
  try {
    return localStorage.getItem(askedKey(name)) !== null;
  } catch {
    return true; // a browser that keeps nothing would be asked on every page
  }
}

function keepAsked(name: string): void {
  try {
    localStorage.setItem(askedKey(name), 'yes');
  } catch {
    // it is not asked there at all
  }
}
