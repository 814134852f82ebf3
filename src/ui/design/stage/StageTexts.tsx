'use client';

import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { type RefObject, memo, useLayoutEffect, useState } from 'react';
import type { TextKey } from '../../../core/model/text-keys';
import type { InvitationKey, WordingKey } from '../../../core/words/wordings';
import { TextEditor } from './TextEditor';
import { useStable } from '../../parts/use-stable';

/** What can be said at a place: a text in one of its cases, or an invitation. */
export type SaidKey = TextKey | InvitationKey;

/** What the stage needs to edit texts: which words stand under a key now, and how to change them. */
export interface StageText {
  wordingAt(key: SaidKey): WordingKey;
  textOf(key: WordingKey): string;
  nameOf(key: WordingKey): string;
  /** There are own words where ours could stand. */
  isOwn(key: WordingKey): boolean;
  /** UTF-16 code units. */
  atMost(key: WordingKey): number;
  /** Null where the text can be used; else why not. */
  faultOf(key: WordingKey, text: string): string | null;
  change(key: WordingKey, text: string): void;
  restoreDefaults(key: WordingKey): void;
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

export interface StageTextsProps {
  readonly painted: PaintedStage;
  readonly isNear: boolean;
  readonly onNear: () => void;
  readonly texts: StageText;
  readonly firstTextRef: (button: HTMLButtonElement | null) => void;
  /** The text that is being edited; it need not be one that stands there now. */
  readonly open: SaidKey | null;
  readonly onOpen: (key: SaidKey | null) => void;
}

/** A button over every text of the widget, where it stands; choosing one edits it there. */
export function StageTexts({
  painted: { stage, root, paint },
  isNear,
  onNear,
  texts,
  firstTextRef,
  open,
  onOpen,
}: StageTextsProps) {
  const [spots, setSpots] = useState<readonly Spot[]>([]);
  useLayoutEffect(() => {
    if (stage.current !== null) setSpots(spotsIn(root, stage.current));
  }, [stage, root, paint]);
  const choose = useStable((key: SaidKey) => {
    if (!isNear) onNear();
    onOpen(key);
  });
  const editing =
    open === null ? null : (spots.find(({ key }) => key === open) ?? elsewhere(root, stage.current, open));
  return (
    <Box role="group" aria-label="Texts on the stage">
      {spots.map((spot, index) => (
        <SpotButton
          key={`${spot.key} ${index}`}
          spotKey={spot.key}
          left={spot.left}
          top={spot.top}
          width={spot.width}
          height={spot.height}
          buttonRef={index === 0 ? firstTextRef : undefined}
          label={`Edit ${texts.nameOf(texts.wordingAt(spot.key))}: ${texts.textOf(texts.wordingAt(spot.key))}`}
          onChoose={choose}
        />
      ))}
      {editing === null || !isNear ? null : (
        <TextEditor
          key={texts.wordingAt(editing.key)}
          spot={editing}
          stage={stage}
          wording={texts.wordingAt(editing.key)}
          texts={texts}
          onClose={() => onOpen(null)}
        />
      )}
    </Box>
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
  return [...found.values()];
}

/** The head of the window is taken hold of beside its texts: there a text is no wider than its words. */
function boxOf(element: HTMLElement): DOMRect {
  if (element.closest('.head') === null) return element.getBoundingClientRect();
  const words = document.createRange();
  words.selectNodeContents(element);
  return words.getBoundingClientRect();
}

/** Where a text that does not stand there now is edited: across the foot of the window, or beside the launcher. */
function elsewhere(root: ShadowRoot, stage: HTMLElement | null, key: SaidKey): Spot | null {
  const box = (root.querySelector('.window') ?? root.querySelector('.launcher'))?.getBoundingClientRect();
  const frame = stage?.getBoundingClientRect();
  if (box === undefined || frame === undefined || box.width < 4) return null;
  const width = Math.max(box.width - 64, 240);
  return {
    key,
    left: box.left - frame.left + (box.width - width) / 2,
    top: box.bottom - frame.top - 150,
    width,
    height: 44,
  };
}
