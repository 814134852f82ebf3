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
    const apply = (before: Waiting | null, one: DeskConversation): Waiting => {
      const next = new Map(before);
      if (isWaiting(one)) next.set(one.id, one);
      else next.delete(one.id);
      return next;
    };
    const load = (): void =>
      void port
        .listConversations(null)
        .then(
          ({ conversations }) =>
            setWaiting(new Map(conversations.filter(isWaiting).map((one) => [one.id, one]))),
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
  return useMemo(() => (waiting === null ? null : [...waiting.values()]), [waiting]);
}

/** By id. */
type Waiting = ReadonlyMap<string, DeskConversation>;

function isWaiting(one: DeskConversation): boolean {
  return !one.isPractice && isOurTurn(one);
}
