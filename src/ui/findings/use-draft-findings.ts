'use client';

import { useCallback, useDeferredValue, useEffect, useMemo, useState } from 'react';
import type { Finding } from '../../core/findings/finding';
import { findingsOf } from '../../core/findings/findings-of';
import type { Design } from '../../core/model/design';
import type { Dismissal, FindingFacts, PagePictures } from '../../core/wire/desk';
import { useMeasured } from './use-measured';
import { designPort } from '../design/port';
import { picturesPort } from '../design/pictures-port';
import { useConnection, usePort } from '../frame/Connection';
import { framePort } from '../frame/port';
import { useSite } from '../frame/SiteContext';

/** The findings of the draft as it stands, and those that somebody has dismissed. */
export interface Findings {
  /** What has to be mended first. */
  readonly open: readonly Finding[];
  readonly dismissal: readonly { readonly finding: Finding; readonly dismissal: Dismissal }[];
  /** How many people answer in each team. */
  readonly peopleOf: FindingFacts['peopleOf'];
}

export interface FindingActions {
  /** Null while they are worked out, and for whoever does not design. */
  readonly findings: Findings | null;
  /** The draft as a screen has it just now: findings follow before it is saved. */
  tellDesign(design: Design): void;
  /** Pictures and bars of the owner's page, as they are since. */
  tellPictures(pictures: PagePictures): void;
  dismiss(key: string, reason: string): Promise<void>;
  restoreFinding(key: string): Promise<void>;
}

/** Works the findings out in the browser, by the same code as anywhere else, for as long as `isRunning`. */
export function useDraftFindings(isRunning: boolean): FindingActions {
  const { siteKey, overview } = useSite();
  const { notice } = useConnection();
  const port = usePort(framePort);
  const draft = usePort(designPort);
  const page = usePort(picturesPort);
  const [design, setDesign] = useState<Design | null>(null);
  const [facts, setFacts] = useState<FindingFacts | null>(null);
  const [pictures, tellPictures] = useState<PagePictures | null>(null);
  const load = useCallback(async () => setFacts(await port.getFindings()), [port]);
  useEffect(() => {
    if (!isRunning) return;
    let isOpen = true;
    const begin = async (): Promise<void> => {
      const [view, known, heard] = await Promise.all([
        draft.getDraft(),
        page.getPagePictures(),
        port.getFindings(),
      ]);
      if (!isOpen) return; // the screen was left meanwhile: the next one asks by itself
      setFacts(heard);
      tellPictures((before) => before ?? known);
      setDesign((before) => before ?? view.design);
    };
    begin().catch(notice);
    return () => {
      isOpen = false;
      // What is known now may be old when the next screen opens.
      setDesign(null);
      setFacts(null);
      tellPictures(null);
    };
  }, [draft, page, port, isRunning, notice]);
  const late = useDeferredValue(design);
  const measured = useMeasured(late, overview, pictures, siteKey);
  const { facts: known, now } = overview;
  const all = useMemo(
    () =>
      late === null || facts === null
        ? null
        : findingsOf({ design: late, facts: known, now, measured, ...facts }),
    [late, facts, known, now, measured],
  );
  const findings = useMemo((): Findings | null => {
    if (all === null || facts === null) return null;
    const dismissalOf = (finding: Finding): Dismissal | undefined =>
      facts.dismissals.find(({ key }) => key === finding.key);
    return {
      peopleOf: facts.peopleOf,
      open: all.filter((one) => dismissalOf(one) === undefined),
      dismissal: all.flatMap((finding) => {
        const dismissal = dismissalOf(finding);
        return dismissal === undefined ? [] : [{ finding, dismissal }];
      }),
    };
  }, [all, facts]);
  // The same findings stay the same object: whoever shows them is not drawn anew with every letter that is typed.
  const [shown, setShown] = useState(findings);
  if (shown !== findings && JSON.stringify(shown) !== JSON.stringify(findings)) setShown(findings);
  const dismiss = useCallback(
    async (key: string, reason: string): Promise<void> => {
      await port.dismiss(key, reason);
      await load();
    },
    [port, load],
  );
  const restoreFinding = useCallback(
    async (key: string): Promise<void> => {
      await port.restoreFinding(key);
      await load();
    },
    [port, load],
  );
  return { findings: shown, tellDesign: setDesign, tellPictures, dismiss, restoreFinding };
}
