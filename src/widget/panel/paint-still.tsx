/** @jsxImportSource preact */
import { render } from 'preact';
import type { VisitorEntry } from '../../core/wire/talk';
import type { PaintedText } from '../../core/decide/reader';
import { addSheet } from '../frame';
import type { FormatText } from '../format-text';
import { PANEL_CSS } from './style';
import { PorchWindow } from './window';

export interface StillPicture {
  readonly painted: PaintedText;
  readonly formatText: FormatText;
  readonly entries: readonly VisitorEntry[];
  readonly base: string;
}

const dressed = new WeakSet<ShadowRoot>();
const NOTHING = () => undefined;
const NO_ACTS = {
  write: NOTHING,
  send: () => false,
  reply: NOTHING,
  leaveNote: NOTHING,
  leaveMail: NOTHING,
  giveAfter: NOTHING,
  forget: () => Promise.resolve(),
  end: NOTHING,
  askAgain: NOTHING,
  readEarlier: NOTHING,
  close: NOTHING,
  accept: NOTHING,
  decline: NOTHING,
  wait: NOTHING,
};

const EMPTY = { replies: {}, faults: {} };
const BLANK = { before: EMPTY, note: EMPTY, after: EMPTY };

/** The window of a tile: the same component, whose acts lead nowhere. */
export function paintStill(root: ShadowRoot, place: HTMLElement, picture: StillPicture): void {
  if (!dressed.has(root)) {
    addSheet(root, PANEL_CSS);
    dressed.add(root);
  }
  const { painted, formatText, entries, base } = picture;
  const { conversation, isWindowOpen } = painted.circumstances;
  const talk = { conversation, entries, hasEarlier: false, outbox: [], isConnected: true, refused: null };
  render(
    <PorchWindow
      painted={painted}
      formatText={formatText}
      talk={talk}
      view={{ isOpen: isWindowOpen, isModal: false, base }}
      draft=""
      forms={BLANK}
      acts={NO_ACTS}
    />,
    place,
  );
}
