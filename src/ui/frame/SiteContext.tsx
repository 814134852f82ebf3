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
import { httpPort } from './http-port';
import type { Overview } from '../../core/wire/desk';
import { type FindingActions, useFindings } from '../findings/use-findings';
import { type DeskEvent, PortError, type SitePort } from './port';

/** The site the person works on, shared by the frame and every screen in it. */
export interface SiteShared extends FindingActions {
  readonly siteKey: string;
  readonly siteName: string;
  readonly zone: string;
  readonly role: 'owner' | 'designer' | 'responder';
  readonly personName: string;
  readonly port: SitePort;
  /** Null while it loads. */
  readonly overview: Overview | null;
  readonly isConnected: boolean;
  readonly isSignedOut: boolean;
  reload(): Promise<void>;
  setPresenceChoice(choice: 'in' | 'out'): Promise<void>;
  /** Whatever a port call threw: a session that ended opens the sign-in; the rest is for the caller. */
  notice(error: unknown): void;
  signedInAgain(): void;
  onEvent(hear: (event: DeskEvent) => void): () => void;
}

const Context = createContext<SiteShared | null>(null);

export function useSite(): SiteShared {
  const shared = useContext(Context);
  if (shared === null) throw new Error('useSite was called outside of a SiteProvider.');
  return shared;
}

type TeamsTold = Extract<DeskEvent, { kind: 'teams' }>['teams'];

function withTeams(overview: Overview, teams: TeamsTold): Overview {
  return {
    ...overview,
    teams: overview.teams.map((team) => ({ ...team, state: teams[team.id] ?? 'nobody' })),
  };
}

interface SiteProviderProps extends Pick<
  SiteShared,
  'siteKey' | 'siteName' | 'zone' | 'role' | 'personName'
> {
  readonly children: ReactNode;
  readonly personId: string;
  /** Tests give a fake one. */
  readonly port?: SitePort;
}

export function SiteProvider({
  children,
  port: given,
  siteKey,
  siteName,
  zone,
  role,
  personId,
  personName,
}: SiteProviderProps) {
  const port = useMemo(() => given ?? httpPort(siteKey, personId), [given, siteKey, personId]);
  const [overview, setOverview] = useState<Overview | null>(null);
  const [isConnected, setConnected] = useState(true);
  const [isSignedOut, setSignedOut] = useState(false);
  const hearers = useRef(new Set<(event: DeskEvent) => void>());
  const notice = useCallback((error: unknown) => {
    if (error instanceof PortError && error.kind === 'signed-out') setSignedOut(true);
  }, []);
  /** What the stream told last: an overview that was asked for before it must not take it back. */
  const told = useRef<{ count: number; teams: TeamsTold }>({ count: 0, teams: {} });
  const reload = useCallback(async () => {
    const { count } = told.current;
    try {
      const next = await port.getOverview();
      setOverview(told.current.count === count ? next : withTeams(next, told.current.teams));
    } catch (error) {
      notice(error);
    }
  }, [port, notice]);

  useEffect(() => {
    void reload();
    return port.listen((event) => {
      if (event.kind === 'connection') setConnected(event.isOpen);
      if (event.kind === 'signed-out') setSignedOut(true);
      if (event.kind === 'teams') {
        told.current = { count: told.current.count + 1, teams: event.teams };
        setOverview((before) => before && withTeams(before, event.teams));
      }
      hearers.current.forEach((hear) => hear(event));
    });
  }, [port, reload]);

  const { findings, tellDesign, tellPictures, dismiss, restoreFinding } = useFindings(
    port,
    siteKey,
    overview,
    role !== 'responder',
    notice,
  );
  const shared = useMemo<SiteShared>(
    () => ({
      siteKey,
      siteName,
      zone,
      role,
      personName,
      port,
      overview,
      isConnected,
      isSignedOut,
      reload,
      notice,
      findings,
      tellDesign,
      tellPictures,
      dismiss,
      restoreFinding,
      setPresenceChoice: async (choice) => {
        await port.setPresenceChoice(choice);
        await reload();
      },
      signedInAgain: () => {
        setSignedOut(false);
        void reload();
      },
      onEvent: (hear) => {
        hearers.current.add(hear);
        return () => hearers.current.delete(hear);
      },
    }),
    [
      siteKey,
      siteName,
      zone,
      role,
      personName,
      port,
      overview,
      isConnected,
      isSignedOut,
      reload,
      notice,
      findings,
      tellDesign,
      tellPictures,
      dismiss,
      restoreFinding,
    ],
  );
  return <Context value={shared}>{children}</Context>;
}
