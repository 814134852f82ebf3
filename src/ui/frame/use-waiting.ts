'use client';

import { useEffect, useMemo, useState } from 'react';
import type { DeskConversation } from '../../core/wire/desk';
import { useConnection, usePort } from './Connection';
import { isOurTurn } from '../conversations/groups';
import { conversationsPort } from '../conversations/port';

/** The conversations that want something of us, as they stand at *Your turn*; null: they were not read yet. */
export function useWaiting(): readonly DeskConversation[] | null {
  const { onEvent, notice } = useConnection();
  const port = usePort(conversationsPort);
  const [waiting, setWaiting] = useState<Waiting | null>(null);
  useEffect(() => {
    /** What is heard while the list is on its way, which it may be older than. Null: none is on its way. */
    let heard: DeskConversation[] | null = null;
    const load = (): void => {
      const own: DeskConversation[] = [];
      heard = own;
      port
        .listConversations(null)
        .then(({ conversations }) => {
          if (heard !== own) return; // one that was asked for later is on its way
          heard = null;
          setWaiting(withWordsOf([...conversations, ...own], null));
        })
        .catch(notice);
    };
    load();
    let opened = 0;
    return onEvent((event) => {
      if (event.kind === 'entry' || event.kind === 'conversation') {
        heard?.push(event.conversation);
        setWaiting((before) => (before === null ? null : withWordsOf([event.conversation], before)));
      }
      // Somebody was forgotten, or the stream was opened again: something may have been said meanwhile.
      const isAgain = event.kind === 'connection' && event.isOpen && opened++ > 0;
      if (event.kind === 'gone' || isAgain) load();
    });
  }, [port, onEvent, notice]);
  return useMemo(() => (waiting === null ? null : [...waiting.values()]), [waiting]);
}

/** By id. */
type Waiting = ReadonlyMap<string, DeskConversation>;

/** As they stand after what was told of conversations, in its order: the newest word of each holds. */
function withWordsOf(told: readonly DeskConversation[], before: Waiting | null): Waiting {
  const next = new Map(before);
  for (const one of told) {
    if (isWaiting(one)) next.set(one.id, one);
    else next.delete(one.id);
  }
  return next;
}

function isWaiting(one: DeskConversation): boolean {
  return !one.isPractice && isOurTurn(one);
}
