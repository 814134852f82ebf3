import type { ICON_NAMES } from '../model/look';

/** Marks of our own drawing, as lines on 24 × 24. */
export const ICONS: Readonly<Record<(typeof ICON_NAMES)[number], string>> = {
  bell: 'M5 17h14M6.5 17v-6a5.5 5.5 0 0 1 11 0v6M12 5.5V3M9.5 20.5h5',
  door: 'M6 21V4.5L15 3v18M15 5h3v16M3.5 21h17M12 12v1.5',
  letter: 'M3.5 6h17v12h-17zM3.5 7l8.5 6.5L20.5 7',
  question: 'M8 8.5a4 4 0 1 1 6 3.4c-1.4.8-2 1.6-2 3.1M12 19v.2',
  hand: 'M7 12V6.5a1.4 1.4 0 0 1 2.8 0V11V4.8a1.4 1.4 0 0 1 2.8 0V11V5.6a1.4 1.4 0 0 1 2.8 0V12V8.4a1.4 1.4 0 0 1 2.8 0V15a6 6 0 0 1-6 6c-3 0-4.400-1.600-5.600-3.800L4.300 13.600a1.400 1.400 0 0 1 2.400-1.400z',
  telescope:
    'M3.5 13.500l11-6.500l2.500 4.300l-11 6.500zM15.500 6.400l3.500-2l3 5.200l-3.500 2M11 15l-3 6M12.500 14.200l4 6.800',
};
