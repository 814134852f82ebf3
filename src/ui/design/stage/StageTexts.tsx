'use client';

import ButtonBase from '@mui/material/ButtonBase';
import { type RefObject, memo, useLayoutEffect, useState } from 'react';
import type { TextKey } from '../../../core/model/text-keys';
import type { InvitationKey, WordingKey } from '../../../core/words/wordings';
import { TextEditor } from './TextEditor';
import { Roving } from '../../parts/Roving';
import { useSame, useStable } from '../../parts/use-stable';
import { STAGE_WORDS } from '../../wording/screens/stage';
import { SHARED_WORDS } from '../../wording/screens/shared';

/** What can be said at a place: a text in one of its cases, or an invitation. */
export type SaidKey = TextKey | InvitationKey;

/** What the stage needs to edit texts: which words stand under a key now, and how to change them. */
export interface StageText {
  wordingAt(key: SaidKey): WordingKey;
  textOf(key: WordingKey): string;
  nameOf(key: WordingKey): string;
  /** As a visitor reads it, with something in the place of every value. */
  readsAs(key: SaidKey): string;
  /** There are own words where ours could stand. */
  isOwn(key: WordingKey): boolean;
  /** UTF-16 code units. */
  atMost(key: WordingKey): number;
  /** Null where the text can be used; else why not. */
  faultOf(key: WordingKey, text: string): string | null;
  /** Changes with one edit id are one step of undo. */
  change(key: WordingKey, text: string, editId: string): void;
  restoreDefaults(key: WordingKey, editId: string): void;
  readonly dir: 'ltr' | 'rtl';
}

interface Spot {
  readonly key: SaidKey;
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** The stage and the widget that was painted on it. */
export interface PaintedStage {
  readonly stage: RefObject<HTMLDivElement | null>;
  readonly root: ShadowRoot;
  /** Changes whenever the tile was painted or moved. */
  readonly paint: string;
}

/** From how far away the page is seen. */
export interface StageDistance {
  readonly isNear: boolean;
  /** Near, a text is large enough to be edited where it stands; else that is done beside the stage. */
  readonly isReadable: boolean;
  readonly onNear: () => void;
}

export interface StageTextsProps {
  readonly painted: PaintedStage;
  readonly distance: StageDistance;
  readonly texts: StageText;
  readonly firstTextRef: (button: HTMLButtonElement | null) => void;
  /** The text that is being edited; it need not be one that stands there now. */
  readonly open: SaidKey | null;
  readonly onOpen: (key: SaidKey | null) => void;
  /** Told whenever others stand there, or can be edited there. */
  readonly onSeen: (seen: SeenTexts) => void;
}

/** The texts that stand on the stage, from the top down. */
export interface SeenTexts {
  readonly keys: readonly SaidKey[];
  /** They can be edited where they stand. */
  readonly isReadable: boolean;
}

/** A button over every text of the widget, where it stands; choosing one edits it there. */
export function StageTexts({
  painted: { stage, root, paint },
  distance: { isNear, isReadable, onNear },
  texts,
  firstTextRef,
  open,
  onOpen,
  onSeen,
}: StageTextsProps) {
  const [spots, setSpots] = useState<readonly Spot[]>([]);
  useLayoutEffect(() => {
    if (stage.current !== null) setSpots(spotsIn(root, stage.current));
  }, [stage, root, paint]);
  const choose = useStable((key: SaidKey) => {
    if (!isNear) onNear();
    onOpen(key);
  });
  const seen = useSame<SeenTexts>({ keys: spots.map(({ key }) => key), isReadable });
  useLayoutEffect(() => onSeen(seen), [onSeen, seen]);
  const editing = spots.find(({ key }) => key === open);
  return (
    <Roving label={STAGE_WORDS.textsOnTheStage} role="group">
      {spots.map((spot, index) => (
        <SpotButton
          key={`${spot.key} ${index}`}
          spotKey={spot.key}
          left={spot.left}
          top={spot.top}
          width={spot.width}
          height={spot.height}
          buttonRef={index === 0 ? firstTextRef : undefined}
          label={SHARED_WORDS.editNamed(texts.nameOf(texts.wordingAt(spot.key)), texts.readsAs(spot.key))}
          onChoose={choose}
        />
      ))}
      {editing === undefined || !isNear || !isReadable ? null : (
        <EditorOnStage
          key={texts.wordingAt(editing.key)}
          spot={editing}
          stage={stage}
          wording={texts.wordingAt(editing.key)}
          texts={texts}
          onClose={() => onOpen(null)}
        />
      )}
    </Roving>
  );
}

interface EditorOnStageProps {
  readonly spot: Spot;
  readonly stage: RefObject<HTMLDivElement | null>;
  readonly wording: WordingKey;
  readonly texts: StageText;
  readonly onClose: () => void;
}

const EDITOR_WIDTH_MIN = 240;

/** The editor over the text it edits, within the stage. */
function EditorOnStage({ spot, stage, ...editor }: EditorOnStageProps) {
  // Measured once: to measure with each letter would lay the whole page out in the middle of drawing it.
  const [place] = useState(() => ({
    ...spot,
    stageWidth: stage.current?.clientWidth ?? spot.left + EDITOR_WIDTH_MIN,
    stageHeight: stage.current?.clientHeight ?? 516,
  }));
  const width = Math.max(EDITOR_WIDTH_MIN, place.width + 24);
  const height = Math.max(44, place.height + 22);
  const left = Math.max(8, Math.min(place.left - 12, place.stageWidth - width - 8));
  const top = Math.max(8, Math.min(place.top - 11, place.stageHeight - height - 64));
  return (
    <TextEditor {...editor} height={height} sx={{ position: 'absolute', left, top, width, zIndex: 5 }} />
  );
}

interface SpotButtonProps extends Omit<Spot, 'key'> {
  readonly spotKey: SaidKey;
  readonly label: string;
  readonly buttonRef: ((button: HTMLButtonElement | null) => void) | undefined;
  readonly onChoose: (key: SaidKey) => void;
}

/** Over a text that can be edited; drawn anew only when it moves or says something else. */
const SpotButton = memo(function SpotButton({
  spotKey,
  label,
  left,
  top,
  width,
  height,
  buttonRef,
  onChoose,
}: SpotButtonProps) {
  return (
    <ButtonBase
      ref={buttonRef}
      aria-label={label}
      onClick={() => onChoose(spotKey)}
      // Not by a class: a new one for each size would have the whole page's styles worked out anew.
      style={{ left: left - 4, top: top - 3, width: width + 8, height: height + 6 }}
      sx={SPOT}
    />
  );
});

const SPOT = {
  position: 'absolute',
  borderRadius: '8px',
  cursor: 'text',
  zIndex: 2,
  '&:hover': { boxShadow: '0 0 0 1.5px var(--porch-door), 0 0 0 3px var(--porch-board)' },
  '&:focus-visible': { outline: '2px solid var(--porch-door)', boxShadow: '0 0 0 4px var(--porch-board)' },
} as const;

function spotsIn(root: ShadowRoot, stage: HTMLElement): Spot[] {
  const frame = stage.getBoundingClientRect();
  const found = new Map<string, Spot>();
  for (const element of root.querySelectorAll<HTMLElement>('[data-say]')) {
    const box = boxOf(element);
    const key = element.dataset.say as SaidKey;
    const isSeen =
      box.width > 4 &&
      box.height > 4 &&
      box.bottom > frame.top &&
      box.top < frame.bottom &&
      box.right > frame.left &&
      box.left < frame.right;
    if (isSeen && !found.has(key))
      found.set(key, {
        key,
        left: box.left - frame.left,
        top: box.top - frame.top,
        width: box.width,
        height: box.height,
      });
  }
  return [...found.values()].sort((a, b) => a.top - b.top || a.left - b.left);
}

/** The head of the window is taken hold of beside its texts: there a text is no wider than its words. */
function boxOf(element: HTMLElement): DOMRect {
  if (element.closest('.head') === null) return element.getBoundingClientRect();
  const words = document.createRange();
  words.selectNodeContents(element);
  return words.getBoundingClientRect();
}
