'use client';

import { usePathname } from 'next/navigation';
import { useCallback } from 'react';
import { useSite } from '../frame/SiteContext';

/** The address of a conversation; null: of all of them. */
export function conversationPath(siteKey: string, id: string | null): string {
  return `/s/${siteKey}/conversations${id === null ? '' : `/${id}`}`;
}

/** The conversation whose address this is, and how to go to another one: back and forward lead through them. */
export function useOpenConversation(): readonly [id: string | null, open: (id: string | null) => void] {
  const { siteKey } = useSite();
  const id = usePathname().split('/')[4] || null;
  const open = useCallback(
    (next: string | null) => {
      const path = conversationPath(siteKey, next);
      if (path !== location.pathname) history.pushState(null, '', path);
    },
    [siteKey],
  );
  return [id, open];
}
