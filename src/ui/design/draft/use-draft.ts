'use client';

import { useEffect, useRef, useState } from 'react';
import { toast } from 'sonner';
import { PortError } from '../../frame/api';
import { type DraftSaver, type DraftState, draftSaver } from './draft-saver';
import { useConnection, usePort } from '../../frame/Connection';
import { designPort } from '../port';

export type DraftLoad =
  | { readonly kind: 'loading' }
  | { readonly kind: 'failed'; readonly sentence: string }
  | { readonly kind: 'ready'; readonly saver: DraftSaver; readonly draft: DraftState };

/** The draft of the site, loaded once and kept saved. */
export function useDraft(): DraftLoad {
  const { notice, isSignedOut } = useConnection();
  const port = usePort(designPort);
  const saver = useRef<DraftSaver | null>(null);
  const [load, setLoad] = useState<DraftLoad>({ kind: 'loading' });
  useEffect(() => {
    let isHere = true;
    const begin = async (): Promise<void> => {
      const view = await port.getDraft();
      if (!isHere) return;
      const made = draftSaver(port, view, {
        change: () => setLoad({ kind: 'ready', saver: made, draft: made.state() }),
        refused: (sentence) => toast.error(sentence),
        failed: notice,
      });
      saver.current = made;
      setLoad({ kind: 'ready', saver: made, draft: made.state() });
    };
    begin().catch((error: unknown) => {
      notice(error);
      setLoad({
        kind: 'failed',
        sentence: error instanceof PortError ? error.sentence : 'The draft could not be loaded.',
      });
    });
    const warn = (event: BeforeUnloadEvent): void => {
      if (saver.current?.isPending()) event.preventDefault();
    };
    window.addEventListener('beforeunload', warn);
    return () => {
      isHere = false;
      saver.current?.stop();
      window.removeEventListener('beforeunload', warn);
    };
  }, [port, notice]);
  useEffect(() => {
    if (!isSignedOut) saver.current?.retry();
  }, [isSignedOut]);
  return load;
}
