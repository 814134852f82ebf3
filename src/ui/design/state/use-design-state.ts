'use client';

import useMediaQuery from '@mui/material/useMediaQuery';
import { useCallback, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import type { Finding } from '../../../core/findings/finding';
import type { Overview } from '../../../core/wire/desk';
import { useFindings } from '../../findings/FindingsContext';
import { useAssumptions } from '../circumstances/use-assumptions';
import { useSituations } from '../circumstances/use-situations';
import { designEdits } from '../draft/design-edits';
import type { DraftSaver, DraftState } from '../draft/draft-saver';
import { usePublishing } from '../draft/use-publishing';
import { useFirstText } from '../stage/use-first-text';
import { never } from '../../parts/use-stable';
import { usePagePictures } from '../stage/use-page-pictures';
import { useTried } from '../visit/use-tried';
import type { DesignShared, ScreenForm } from './DesignContext';
import { shownOf } from './shown';
import { useAskedWidget } from './use-asked-widget';
import { useChosen } from './use-chosen';
import { useDeskKeys } from './use-desk-keys';
import { useRehearsed } from './use-rehearsed';

/** All that the Design screen shows of a draft; else what is wrong with the draft, in words. Null: there is nothing to show. */
export function useDesignState(
  saver: DraftSaver,
  draft: DraftState,
  overview: Overview,
): DesignShared | string | null {
  const { design } = draft;
  const form = useScreenForm();
  const [assumptions, assume] = useAssumptions(design);
  const [chosen, acts] = useChosen();
  const [isBecauseOpen, setBecauseOpen] = useState(false);
  const findings = useOpenFindings(draft);
  const publishing = usePublishing(saver, draft, overview, findings);
  const firstText = useFirstText();
  const rehearsed = useRehearsed(design, assumptions, overview, findings);
  const known = typeof rehearsed === 'string' ? null : rehearsed;
  const situations = useSituations(known?.situations ?? NO_SITUATIONS, assumptions, assume);
  useAskedWidget(design, rehearsed, assumptions, assume);
  const [tried, trying] = useTried(known?.site ?? null, known?.base ?? null);
  useDeskKeys({
    undo: useCallback(() => void saver.step('undo'), [saver]),
    redo: useCallback(() => void saver.step('redo'), [saver]),
    because: () => setBecauseOpen(!isBecauseOpen),
    whole: () => acts.set({ isWhole: !chosen.isWhole }),
    flip: situations.flip,
    tryIt: () => (tried === null ? trying.begin() : trying.stop()),
  });
  const [backdrop, pictures] = usePagePictures(chosen.backdrop, assumptions);
  const place = known?.place ?? 0;
  const edits = useMemo(() => designEdits(saver, place), [saver, place]);
  if (typeof rehearsed === 'string') return rehearsed;
  const screen = { form, saver, draft, design, edits, overview, publishing, findings, firstText };
  const visitor = { assumptions, assume, situations, rehearsed, chosen, acts, tried, trying };
  const shown = shownOf({ ...screen, ...visitor });
  if (shown === null) return null;
  return { ...screen, ...visitor, shown, backdrop, pictures, isBecauseOpen, setBecauseOpen };
}

/** In em, so that zoom and large text count; below 32 em of height the stage would have no room between its rows. */
function useScreenForm(): ScreenForm {
  const isNarrow = useMediaQuery('(max-width: 74.95em)');
  const isPhone = useMediaQuery('(max-width: 56.2em), (max-height: 32em)');
  const isLarge = useSyncExternalStore(never, isLargeText, () => false);
  if (isPhone || isLarge) return 'phone';
  return isNarrow ? 'narrow' : 'wide';
}

/** Text at 150 % or more: rows side by side would be cut. */
function isLargeText(): boolean {
  return parseFloat(getComputedStyle(document.documentElement).fontSize) >= 24;
}

/** The open findings of the draft as it stands here; a version that is only looked at has none. */
function useOpenFindings({ design, version }: DraftState): readonly Finding[] {
  const { findings, tellDesign } = useFindings();
  useEffect(() => (version === null ? tellDesign(design) : undefined), [tellDesign, design, version]);
  return (version === null ? findings?.open : null) ?? NO_FINDINGS;
}

const NO_FINDINGS: readonly Finding[] = [];
const NO_SITUATIONS: readonly never[] = [];
