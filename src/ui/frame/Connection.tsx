'use client';

import {
  createContext,
  type ReactNode,
  useCallback,
  useContext,
  useEffect,
  useMemo,
  useRef,
  useState,
} from 'react';
import { type Api, PortError, httpApi } from './api';
import { type DeskEvent, framePort } from './port';

/** The line to the server, shared by the frame and every screen in it. */
export interface Connection {
  readonly api: Api;
  readonly isConnected: boolean;
  readonly isSignedOut: boolean;
  /** Whatever a port threw: a session that ended opens the sign-in; the rest is for the caller. */
  notice(error: unknown): void;
  signedInAgain(): void;
  /** Hears what the server says by itself. Gives what stops it. */
  onEvent(hear: (event: DeskEvent) => void): () => void;
}

const Context = createContext<Connection | null>(null);

export function useConnection(): Connection {
  const connection = useContext(Context);
  if (connection === null) throw new Error('useConnection was called outside of a ConnectionProvider.');
  return connection;
}

/** One feature's questions to the server; the same object for as long as the line is. */
export function usePort<Port>(make: (api: Api) => Port): Port {
  const { api } = useConnection();
  return useMemo(() => make(api), [make, api]);
}

interface ConnectionProviderProps {
  readonly siteKey: string;
  readonly personId: string;
  readonly children: ReactNode;
}

export function ConnectionProvider({ siteKey, personId, children }: ConnectionProviderProps) {
  const api = useMemo(() => httpApi(siteKey), [siteKey]);
  const [isConnected, setConnected] = useState(true);
  const [isSignedOut, setSignedOut] = useState(false);
  const hearers = useRef(new Set<(event: DeskEvent) => void>());
  useEffect(
    () =>
      framePort(api).listen(personId, (event) => {
        if (event.kind === 'connection') setConnected(event.isOpen);
        if (event.kind === 'signed-out') setSignedOut(true);
        hearers.current.forEach((hear) => hear(event));
      }),
    [api, personId],
  );
  const notice = useCallback((error: unknown) => {
    if (error instanceof PortError && error.kind === 'signed-out') setSignedOut(true);
  }, []);
  const signedInAgain = useCallback(() => setSignedOut(false), []);
  const onEvent = useCallback((hear: (event: DeskEvent) => void) => {
    hearers.current.add(hear);
    return () => void hearers.current.delete(hear);
  }, []);
  const connection = useMemo(
    () => ({ api, isConnected, isSignedOut, notice, signedInAgain, onEvent }),
    [api, isConnected, isSignedOut, notice, signedInAgain, onEvent],
  );
  return <Context value={connection}>{children}</Context>;
}
