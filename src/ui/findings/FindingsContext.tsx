'use client';

import { createContext, type ReactNode, useCallback, useContext, useEffect, useMemo, useState } from 'react';
import { useSite } from '../frame/SiteContext';
import { type FindingActions, type Findings, useDraftFindings } from './use-draft-findings';

interface FindingsShared extends FindingActions {
  /** A screen that needs findings has opened. Gives what to call when it closes. */
  open(): () => void;
}

const Context = createContext<FindingsShared | null>(null);

function useShared(): FindingsShared {
  const shared = useContext(Context);
  if (shared === null) throw new Error('Findings were asked for outside of a FindingsProvider.');
  return shared;
}

/** The findings, for a screen that shows them: they are worked out while one of these is open, and at no other time. */
export function useFindings(): FindingActions {
  const shared = useShared();
  const { open } = shared;
  useEffect(() => open(), [open]);
  return shared;
}

/** The findings where some screen has them worked out, else null. */
export function useOpenFindings(): Findings | null {
  return useShared().findings;
}

/** Whoever only answers is not asked to mend. Expects a SiteProvider around it. */
export function FindingsProvider({ children }: { readonly children: ReactNode }) {
  const { role } = useSite();
  const [openScreens, setOpenScreens] = useState(0);
  const open = useCallback(() => {
    setOpenScreens((before) => before + 1);
    return () => setOpenScreens((before) => before - 1);
  }, []);
  const actions = useDraftFindings(openScreens > 0 && role !== 'responder');
  const { findings, tellDesign, tellPictures, dismiss, restoreFinding } = actions;
  const shared = useMemo(
    () => ({ open, findings, tellDesign, tellPictures, dismiss, restoreFinding }),
    [open, findings, tellDesign, tellPictures, dismiss, restoreFinding],
  );
  return <Context value={shared}>{children}</Context>;
}
