'use client';

import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { type KeyboardEvent, type PointerEvent, useLayoutEffect, useRef, useState } from 'react';
import { type PlaceGround, cornerOf, placeAt } from '../../../core/look/place';
import type { Place } from '../../../core/model/design';
import { placeWords } from '../../wording/place';
import type { PaintedStage } from './StageTexts';
import { type StageView, mirrored } from './stage-geometry';
import { STAGE_WORDS } from '../../wording/screens/stage';

interface PlaceHandleProps {
  readonly painted: PaintedStage;
  readonly view: StageView;
  readonly isPhone: boolean;
  /** In right-to-left languages what is drawn is the mirror of what is stored. */
  readonly isMirrored: boolean;
  readonly place: Place;
  /** While it is dragged, and null once it is not. */
  readonly onDrag: (place: Place | null) => void;
  readonly onPlace: (place: Place) => void;
  /** Chosen without being dragged. */
  readonly onChoose: () => void;
}

interface Grip {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
  /** What is placed, in px of the page. */
  readonly size: { readonly width: number; readonly height: number };
  /** From the grip's corner to the corner of what is placed, in px of the stage. */
  readonly shift: { readonly x: number; readonly y: number };
}

const MOVED_PX = 4;
const STEP_PX = 8;

/** Moves the launcher along the edges, by hand or with the arrow keys; with an open window, its head does. */
export function PlaceHandle({
  painted: { stage, root, paint },
  view,
  isPhone,
  isMirrored,
  place,
  onDrag,
  onPlace,
  onChoose,
}: PlaceHandleProps) {
  const [grip, setGrip] = useState<Grip | null>(null);
  const held = useRef<{ readonly x: number; readonly y: number; readonly grip: Grip } | null>(null);
  const moving = useRef<Place | null>(null);
  const [shown, setShown] = useState<Place | null>(null);
  useLayoutEffect(() => {
    if (stage.current !== null) setGrip(gripIn(root, stage.current, view.scale));
  }, [stage, root, paint, view.scale]);
  if (grip === null) return null;

  const groundOf = ({ size }: Grip): PlaceGround => ({
    width: view.pageWidth,
    height: view.pageHeight,
    launcher: size,
    isPhone,
  });
  const seen = isMirrored ? mirror(place) : place;
  const drop = (): void => {
    const made = moving.current;
    held.current = null;
    moving.current = null;
    setShown(null);
    onDrag(null);
    if (made === null) onChoose();
    else onPlace(isMirrored ? mirror(made) : made);
  };
  const move = (event: PointerEvent): void => {
    const { current } = held;
    const frame = stage.current?.getBoundingClientRect();
    if (current === null || frame === undefined) return;
    const isStill =
      moving.current === null && Math.hypot(event.clientX - current.x, event.clientY - current.y) < MOVED_PX;
    if (isStill) return;
    const { shift, left, top } = current.grip;
    // The grip follows the pointer; what it belongs to stands beside it as before.
    const x = (left + (event.clientX - current.x) + shift.x - view.left) / view.scale;
    const y = (top + (event.clientY - current.y) + shift.y - view.top) / view.scale;
    const next = placeAt(seen, { x, y }, groundOf(current.grip), true);
    moving.current = next;
    setShown(next);
    onDrag(isMirrored ? mirror(next) : next);
  };
  const push = (event: KeyboardEvent): void => {
    const by = KEYS[event.key];
    if (by === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    const ground = groundOf(grip);
    const from = cornerOf(seen, ground);
    const far = event.shiftKey ? Math.max(view.pageWidth, view.pageHeight) : STEP_PX;
    const to = {
      x: hold(from.x + by[0] * far, view.pageWidth - grip.size.width),
      y: hold(from.y + by[1] * far, view.pageHeight - grip.size.height),
    };
    // Over the middle, where no offset reaches, it goes on from the other side.
    const next = event.shiftKey
      ? keptNear(placeAt(seen, to, ground, false), place, by, isPhone)
      : placeAt(seen, to, ground, false);
    onPlace(isMirrored ? mirror(next) : next);
  };
  return (
    <>
      <ButtonBase
        aria-label={STAGE_WORDS.placeHandle(placeWords(place, isPhone))}
        data-grip
        onPointerDown={(event) => {
          if (event.button !== 0) return;
          event.currentTarget.setPointerCapture(event.pointerId);
          held.current = { x: event.clientX, y: event.clientY, grip };
        }}
        onPointerMove={move}
        onPointerUp={() => held.current !== null && drop()}
        onPointerCancel={() => {
          held.current = null;
          moving.current = null;
          setShown(null);
          onDrag(null);
        }}
        onKeyDown={push}
        onClick={(event) => {
          if (event.detail === 0) onChoose(); // by keyboard
        }}
        disableRipple
        style={{ left: grip.left, top: grip.top, width: grip.width, height: grip.height }}
        sx={{
          position: 'absolute',
          borderRadius: '14px',
          cursor: shown === null ? 'grab' : 'grabbing',
          touchAction: 'none',
          zIndex: 1,
          '&:hover': { boxShadow: '0 0 0 1.5px var(--porch-door), 0 0 0 3px var(--porch-board)' },
          '&:focus-visible': {
            outline: '2px solid var(--porch-door)',
            boxShadow: '0 0 0 4px var(--porch-board)',
          },
        }}
      />
      {shown === null ? null : (
        <Box
          role="status"
          sx={{
            position: 'absolute',
            left: '50%',
            top: 64,
            transform: 'translateX(-50%)',
            px: 1.5,
            py: 0.75,
            fontSize: '0.8125rem',
            borderRadius: '10px',
            bgcolor: 'var(--porch-ink)',
            color: 'var(--porch-paper)',
            zIndex: 5,
            pointerEvents: 'none',
          }}
        >
          {placeWords(isMirrored ? mirror(shown) : shown, isPhone)}
        </Box>
      )}
    </>
  );
}

const KEYS: Readonly<Record<string, readonly [x: number, y: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** Into the corner that way: no further from its edges than it was. */
function keptNear(next: Place, place: Place, [x]: readonly [number, number], isPhone: boolean): Place {
  const { offset, phoneOffset, lift, phoneLift } = place;
  return isPhone
    ? { ...next, phoneOffset, phoneLift: x === 0 ? 0 : phoneLift }
    : { ...next, offset, lift: x === 0 ? 0 : lift };
}

function hold(value: number, most: number): number {
  return Math.min(Math.max(0, value), Math.max(0, most));
}

function mirror(place: Place): Place {
  const { corner, phoneCorner } = place;
  return {
    ...place,
    corner: mirrored(corner, 'rtl'),
    phoneCorner: phoneCorner === null ? null : mirrored(phoneCorner, 'rtl'),
  };
}

/** The launcher where it is seen, else the head of an open window; null: neither can be moved. */
function gripIn(root: ShadowRoot, stage: HTMLElement, scale: number): Grip | null {
  const frame = stage.getBoundingClientRect();
  const boxOf = (selector: string): DOMRect | null => {
    const box = root.querySelector(selector)?.getBoundingClientRect();
    return box === undefined || box.width < 4 || box.height < 4 ? null : box;
  };
  const launcher = boxOf('.launcher');
  const window = boxOf('.window');
  const handle = launcher ?? (window === null ? null : boxOf('.head'));
  const whole = launcher ?? window;
  const isFull =
    whole !== null &&
    root.querySelector('.root')?.getAttribute('data-device') === 'phone' &&
    launcher === null;
  if (handle === null || whole === null || isFull) return null;
  return {
    left: handle.left - frame.left,
    top: handle.top - frame.top,
    width: handle.width,
    height: handle.height,
    size: { width: whole.width / scale, height: whole.height / scale },
    shift: { x: whole.left - handle.left, y: whole.top - handle.top },
  };
}
