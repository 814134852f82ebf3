'use client';

import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { type RefObject, useLayoutEffect, useState } from 'react';
import type { CaseKey, TextKey } from '../../core/words/catalogue';
import { textName } from '../wording/texts';
import { TextEditor } from './TextEditor';

/** What the stage needs to edit texts: which words stand under a key now, and how to change them. */
export interface StageText {
  caseKeyOf(key: TextKey): CaseKey;
  textOf(key: CaseKey): string;
  isOwn(key: CaseKey): boolean;
  /** Null where the text can be used; else why not. */
  faultOf(key: CaseKey, text: string): string | null;
  change(key: CaseKey, text: string): void;
  backToOurs(key: CaseKey): void;
  readonly dir: 'ltr' | 'rtl';
}

interface Spot {
  readonly key: TextKey;
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

interface StageTextsProps {
  readonly stage: RefObject<HTMLDivElement | null>;
  readonly root: ShadowRoot;
  /** Changes whenever the tile was painted or moved. */
  readonly paint: string;
  readonly isNear: boolean;
  readonly onNear: () => void;
  readonly texts: StageText;
  readonly firstTextRef: RefObject<HTMLButtonElement | null>;
}

/** A button over every text of the widget, where it stands; choosing one edits it there. */
export function StageTexts({ stage, root, paint, isNear, onNear, texts, firstTextRef }: StageTextsProps) {
  const [spots, setSpots] = useState<readonly Spot[]>([]);
  const [open, setOpen] = useState<TextKey | null>(null);
  useLayoutEffect(() => {
    if (stage.current !== null) setSpots(spotsIn(root, stage.current));
  }, [stage, root, paint]);
  const editing = spots.find(({ key }) => key === open);
  return (
    <Box role="group" aria-label="Texts on the stage">
      {spots.map((spot, index) => (
        <ButtonBase
          key={`${spot.key} ${index}`}
          ref={index === 0 ? firstTextRef : undefined}
          aria-label={`Edit ${textName(texts.caseKeyOf(spot.key))}: ${texts.textOf(texts.caseKeyOf(spot.key))}`}
          onClick={() => {
            if (!isNear) onNear();
            setOpen(spot.key);
          }}
          sx={{
            position: 'absolute',
            left: spot.left - 4,
            top: spot.top - 3,
            width: spot.width + 8,
            height: spot.height + 6,
            borderRadius: '8px',
            cursor: 'text',
            zIndex: 2,
            '&:hover': { boxShadow: '0 0 0 1.5px var(--porch-door), 0 0 0 3px var(--porch-board)' },
            '&:focus-visible': { outline: '2px solid var(--porch-door)', boxShadow: '0 0 0 4px var(--porch-board)' },
          }}
        />
      ))}
      {editing === undefined || !isNear ? null : (
        <TextEditor
          key={texts.caseKeyOf(editing.key)}
          spot={editing}
          stage={stage}
          textKey={texts.caseKeyOf(editing.key)}
          texts={texts}
          onClose={() => setOpen(null)}
        />
      )}
    </Box>
  );
}

function spotsIn(root: ShadowRoot, stage: HTMLElement): Spot[] {
  const frame = stage.getBoundingClientRect();
  const found = new Map<string, Spot>();
  for (const element of root.querySelectorAll<HTMLElement>('[data-say]')) {
    const box = element.getBoundingClientRect();
    const key = element.dataset.say as TextKey;
    const isSeen =
      box.width > 4 &&
      box.height > 4 &&
      box.bottom > frame.top &&
      box.top < frame.bottom &&
      box.right > frame.left &&
      box.left < frame.right;
    if (isSeen && !found.has(key))
      found.set(key, { key, left: box.left - frame.left, top: box.top - frame.top, width: box.width, height: box.height });
  }
  return [...found.values()];
}
