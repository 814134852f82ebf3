/** @jsxImportSource preact */
import { render } from 'preact';
import type { VisitorEntry } from '../../core/wire/talk';
import type { Heard } from '../../core/words/hearer';
import { addSheet } from '../frame';
import type { Voice } from '../voice';
import { PANEL_CSS } from './style';
import { PorchWindow } from './window';

export interface StillPicture {
  readonly heard: Heard;
  readonly voice: Voice;
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
  const { heard, voice, entries, base } = picture;
  const { conversation, isWindowOpen } = heard.circumstances;
  const talk = { conversation, entries, outbox: [], isConnected: true, refused: null };
  render(
    <PorchWindow
      heard={heard}
      voice={voice}
      talk={talk}
      isOpen={isWindowOpen}
      isModal={false}
      draft=""
      base={base}
      forms={BLANK}
      acts={NO_ACTS}
    />,
    place,
  );
}
