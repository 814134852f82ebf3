'use client';

import type { Role } from '../../core/model/role';
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
import type { Overview } from '../../core/wire/desk';
import { useConnection, usePort } from './Connection';
import { type DeskEvent, framePort } from './port';

/** The site the person works on, who they are there, and who is answering. */
export interface SiteShared {
  readonly siteKey: string;
  readonly siteName: string;
  readonly zone: string;
  readonly role: Role;
  readonly personId: string;
  readonly personName: string;
  readonly overview: Overview;
  reload(): Promise<void>;
  setPresenceChoice(choice: 'in' | 'out'): Promise<void>;
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
  'siteKey' | 'siteName' | 'zone' | 'role' | 'personId' | 'personName'
> {
  /** The overview as it was when the page was asked for. */
  readonly first: Overview;
  readonly children: ReactNode;
}

/** Expects a ConnectionProvider around it. */
export function SiteProvider({
  children,
  first,
  siteKey,
  siteName,
  zone,
  role,
  personId,
  personName,
}: SiteProviderProps) {
  const { notice, onEvent, isSignedOut } = useConnection();
  const port = usePort(framePort);
  const [overview, setOverview] = useState(first);
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
    if (!isSignedOut) void reload();
  }, [reload, isSignedOut]);
  useEffect(
    () =>
      onEvent((event) => {
        if (event.kind === 'alerts') void reload();
        if (event.kind !== 'teams') return;
        told.current = { count: told.current.count + 1, teams: event.teams };
        setOverview((before) => withTeams(before, event.teams));
      }),
    [onEvent, reload],
  );
  const setPresenceChoice = useCallback(
    async (choice: 'in' | 'out') => {
      await port.setPresenceChoice(choice);
      await reload();
    },
    [port, reload],
  );
  const shared = useMemo<SiteShared>(
    () => ({ siteKey, siteName, zone, role, personId, personName, overview, reload, setPresenceChoice }),
    [siteKey, siteName, zone, role, personId, personName, overview, reload, setPresenceChoice],
  );
  return <Context value={shared}>{children}</Context>;
}
