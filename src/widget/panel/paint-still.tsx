/** @jsxImportSource preact */
import { render } from 'preact';
import type { Decision } from '../../core/decide/decide';
import type { ConversationFacts, VisitorEntry } from '../../core/wire/talk';
import { addSheet } from '../frame';
import type { Voice } from '../voice';
import { PANEL_CSS } from './style';
import { PorchWindow } from './window';

export interface StillPicture {
  readonly decision: Decision;
  readonly voice: Voice;
  readonly isOpen: boolean;
  readonly conversation: ConversationFacts | null;
  readonly entries: readonly VisitorEntry[];
}

const dressed = new WeakSet<ShadowRoot>();
const NOTHING = () => undefined;
const NO_ACTS = { write: NOTHING, send: NOTHING, leaveNote: NOTHING, end: NOTHING, askAgain: NOTHING, close: NOTHING };

/** The window of a tile: the same component, whose acts lead nowhere. */
export function paintStill(root: ShadowRoot, place: HTMLElement, picture: StillPicture): void {
  if (!dressed.has(root)) {
    addSheet(root, PANEL_CSS);
    dressed.add(root);
  }
  const { decision, voice, isOpen, conversation, entries } = picture;
  const talk = { conversation, entries, outbox: [], isConnected: true, refused: null };
  render(<PorchWindow decision={decision} voice={voice} talk={talk} isOpen={isOpen} isModal={false} draft="" acts={NO_ACTS} />, place);
}
