'use client';

import { useEffect, useState } from 'react';
import type { DeskConversation } from '../../core/wire/desk';
import { useConnection, usePort } from './Connection';
import { isOurTurn } from '../conversations/groups';
import { conversationsPort } from '../conversations/port';

/** How many conversations want something of us: as many as stand at *Your turn*. */
export function useWaitingCount(): number {
  const { onEvent, notice } = useConnection();
  const port = usePort(conversationsPort);
  const [waiting, setWaiting] = useState<ReadonlySet<string>>(new Set());
  useEffect(() => {
    const apply = (set: ReadonlySet<string>, one: DeskConversation): ReadonlySet<string> => {
      const next = new Set(set);
      if (isWaiting(one)) next.add(one.id);
      else next.delete(one.id);
      return next;
    };
    const load = (): void =>
      void port
        .listConversations(null)
        .then(
          ({ conversations }) => setWaiting(new Set(conversations.filter(isWaiting).map(({ id }) => id))),
          notice,
        );
    load();
    let opened = 0;
    return onEvent((event) => {
      if (event.kind === 'entry' || event.kind === 'conversation')
        setWaiting((before) => apply(before, event.conversation));
      // Somebody was forgotten, or the stream was opened again: something may have been said meanwhile.
      const isAgain = event.kind === 'connection' && event.isOpen && opened++ > 0;
      if (event.kind === 'gone' || isAgain) load();
    });
  }, [port, onEvent, notice]);
  return waiting.size;
}

function isWaiting(one: DeskConversation): boolean {
  return !one.isPractice && isOurTurn(one);
}
