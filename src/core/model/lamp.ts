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

/** Path data of the porch lamp on a 24×24 ground: what every mark has. */
export const LAMP_OUTLINE =
  'M12 1.5v3M8.6 4.5h6.8l2.1 3.4H6.5zM7.4 7.9h9.2l-1.3 10H8.7zM8 17.9h8v2.6H8zM10.4 20.5h3.2v2h-3.2z';
const GLASS = 'M7.4 7.9h9.2l-1.3 10H8.7z';

/** What is filled with light, and what is drawn over the glass: three waiting dots, or the slats of a shutter. */
export const LAMP_PATHS: Readonly<Record<LampSign, readonly [light: string, over: string]>> = {
  lit: [GLASS, ''],
  half: ['M8.1 13h7.8l-.6 4.9H8.7z', ''],
  queue: [GLASS, 'M9.6 13h.01M12 13h.01M14.4 13h.01'],
  unlit: ['', ''],
  shutter: ['', 'M8 10.4h8M8.3 12.9h7.4M8.6 15.4h6.8'],
};
