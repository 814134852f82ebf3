import type { Moment } from './moment';

/** As screens.md numbers them. */
export type WayId = `W${number}`;

/** A way from one moment to another (screens.md, W1–W19). */
export interface Way {
  readonly id: WayId;
  readonly from: Moment;
  readonly to: Moment;
}

/** The complete list of ways. Closing the window, and opening it on a standing conversation, are none ([M6]). */
export const WAYS: readonly Way[] = [
  { id: 'W1', from: 'passing-by', to: 'invited' },
  { id: 'W2', from: 'passing-by', to: 'at-the-door' },
  { id: 'W3', from: 'passing-by', to: 'at-the-door' },
  { id: 'W4', from: 'invited', to: 'at-the-door' },
  { id: 'W5', from: 'invited', to: 'passing-by' },
  { id: 'W6', from: 'passing-by', to: 'nobody-home' },
  { id: 'W7', from: 'at-the-door', to: 'waiting' },
  { id: 'W8', from: 'at-the-door', to: 'nobody-home' },
  { id: 'W9', from: 'waiting', to: 'talking' },
  { id: 'W10', from: 'waiting', to: 'slow-reply' },
  { id: 'W11', from: 'waiting', to: 'nobody-home' },
  { id: 'W12', from: 'slow-reply', to: 'talking' },
  { id: 'W13', from: 'slow-reply', to: 'note-left' },
  { id: 'W14', from: 'talking', to: 'slow-reply' },
  { id: 'W15', from: 'talking', to: 'goodbye' },
  { id: 'W16', from: 'goodbye', to: 'at-the-door' },
  { id: 'W17', from: 'nobody-home', to: 'note-left' },
  { id: 'W18', from: 'nobody-home', to: 'at-the-door' },
  { id: 'W19', from: 'note-left', to: 'talking' },
];

/** Ways that time alone can lead along, with nobody doing anything. The others take an act of the visitor's or of a responder's. */
export const WAYS_BY_TIME: readonly WayId[] = ['W1', 'W3', 'W8', 'W10', 'W11', 'W14', 'W15', 'W18'];
