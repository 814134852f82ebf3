'use client';

import { useEffect, useState } from 'react';
import { toast } from 'sonner';
import type { DraftView } from '../../../core/wire/desk';
import { useConnection, usePort } from '../../frame/Connection';
import { designPort } from '../port';
import { type DraftSaver, type DraftState, draftSaver } from './draft-saver';

/** The draft of the site, first as the page was asked for, and kept saved. A page that comes back from the history is behind: it is asked for once more. */
export function useDraft(first: DraftView): { readonly saver: DraftSaver; readonly draft: DraftState } {
  const { notice, isSignedOut } = useConnection();
  const port = usePort(designPort);
  const [changed, setChanged] = useState<DraftState | null>(null);
  const [saver] = useState(() => {
    const made = draftSaver(port, first, {
      change: () => setChanged(made.state()),
      refused: (sentence) => toast.error(sentence),
      failed: notice,
    });
    return made;
  });
  const [unchanged] = useState(() => saver.state());
  useEffect(() => {
    saver.reload().catch(notice);
    const warn = (event: BeforeUnloadEvent): void => {
      if (saver.isPending()) event.preventDefault();
    };
    window.addEventListener('beforeunload', warn);
    return () => {
      saver.stop();
      window.removeEventListener('beforeunload', warn);
    };
  }, [saver, notice]);
  useEffect(() => {
    if (!isSignedOut) saver.retry();
  }, [saver, isSignedOut]);
  return { saver, draft: changed ?? unchanged };
}
