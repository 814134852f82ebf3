import type { WidgetState } from './moment';

/** How the lamp is drawn ([S4]); it means that somebody is there, and nothing else anywhere. */
export type LampSign = 'lit' | 'half' | 'queue' | 'unlit' | 'shutter';

/** [S4] The lamp of a state; unknown is unlit. */
export function lampOf(state: WidgetState, isKnown: boolean): LampSign {
  if (!isKnown) return 'unlit';
  const marks: Readonly<Record<WidgetState, LampSign>> = {
    in: 'lit',
    nearby: 'half',
    busy: 'queue',
    nobody: 'unlit',
    closed: 'shutter',
  };
  return marks[state];
}

/** Path data of the porch lamp on a 24×24 ground, what every mark has: bracket, ring, roof, wide glass and foot. */
export const LAMP_OUTLINE =
  'M2 2v8.6M2 3.2h9.3M14.7 4.2a1.7 1.7 0 1 1-3.4 0 1.7 1.7 0 0 1 3.4 0zM10 6.4h6l3.8 3.6H6.2zM7 10h12l-1.7 8.8H8.7zM7.9 18.8h10.2v2.9H7.9z';
const GLASS = 'M7 10h12l-1.7 8.8H8.7z';

/** What is filled with light, and what is drawn over it: rays, three waiting dots, or the slats of a shutter. */
export const LAMP_PATHS: Readonly<Record<LampSign, readonly [light: string, over: string]>> = {
  lit: [GLASS, 'M4.6 13.2H2.9M5.2 16.8l-1.5.9M21.4 13.2h1.7M20.8 16.8l1.5.9'],
  half: ['M7.9 14.4h10.2l-.8 4.4H8.7z', ''],
  queue: [GLASS, 'M10.2 14.4h.01M13 14.4h.01M15.8 14.4h.01'],
  unlit: ['', ''],
  shutter: ['', 'M7.9 12.4h10.2M8.3 14.4h9.4M8.6 16.4h8.8'],
};
