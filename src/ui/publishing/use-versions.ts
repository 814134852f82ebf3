'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { Design } from '../../core/model/design';
import type { VersionsView } from '../../core/wire/desk';
import { PortError } from '../frame/api';
import { useSite } from '../frame/SiteContext';
import { useConnection, usePort } from '../frame/Connection';
import { publishingPort } from './port';
import { PUBLISHING_WORDS } from '../wording/screens/publishing';

export interface Versions {
  /** Null while it loads. */
  readonly view: VersionsView | null;
  readonly fault: string | null;
  more(): Promise<void>;
  /** The design of a version; each is loaded once, since none ever changes. */
  load(number: number): Promise<Design>;
  bringBack(number: number, remark: string): Promise<number>;
  cancel(id: string): Promise<void>;
}

/** The versions of the site, and what is set for later. */
export function useVersions(): Versions {
  const { reload } = useSite();
  const { notice } = useConnection();
  const port = usePort(publishingPort);
  const [view, setView] = useState<VersionsView | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const known = useRef(new Map<number, Promise<Design>>());
  const refresh = useCallback(async () => setView(await port.getVersions(null)), [port]);
  useEffect(() => {
    refresh().catch((error: unknown) => {
      notice(error);
      setFault(error instanceof PortError ? error.sentence : PUBLISHING_WORDS.versionsNotLoaded);
    });
  }, [refresh, notice]);
  const load = useCallback(
    (number: number): Promise<Design> => {
      const loading = known.current.get(number) ?? port.getVersion(number).then(({ design }) => design);
      known.current.set(number, loading);
      loading.catch(() => known.current.delete(number));
      return loading;
    },
    [port],
  );
  const more = useCallback(async () => {
    const last = view?.versions.at(-1);
    if (view === null || last === undefined) return;
    const next = await port.getVersions(last.number);
    setView({ ...next, versions: [...view.versions, ...next.versions] });
  }, [port, view]);
  const bringBack = async (number: number, remark: string): Promise<number> => {
    const made = await port.bringBack(number, remark);
    // It is live by now, whatever becomes of looking again.
    await Promise.all([refresh(), reload()]).catch(notice);
    return made;
  };
  const cancel = async (id: string): Promise<void> => {
    await port.cancelPublication(id);
    await Promise.all([refresh(), reload()]);
  };
  return { view, fault, more, load, bringBack, cancel };
}
