/** Colours of the application, light and evening. The only place in the application with hex codes. */
export const TOKENS = {
  light: {
    paper: '#FBF6EA',
    board: '#FFFDF7',
    rail: '#E9DFC9',
    edge: '#8C8570',
    lane: '#F1EBDB',
    ink: '#26322D',
    shade: '#5F6959',
    door: '#1F5B4A',
    onDoor: '#FFFDF7',
    sun: '#E79A1B',
    clay: '#B4472B',
    sky: '#2F6F8F',
    page: '#EEF0EC',
    pageInk: '#C9D0CB',
  },
  evening: {
    paper: '#171C1A',
    board: '#202724',
    rail: '#38423D',
    edge: '#7B867C',
    lane: '#1C2320',
    ink: '#EEF0E6',
    shade: '#A9B3A2',
    door: '#7CC7AA',
    onDoor: '#12201A',
    sun: '#F4B94A',
    clay: '#F09A80',
    sky: '#8CC4DE',
    page: '#2A312E',
    pageInk: '#48524D',
  },
} as const;
export type TokenName = keyof (typeof TOKENS)['light'];

/** A token as a CSS value that follows the theme. */
export function token(name: TokenName): string {
  return `var(--porch-${name})`;
}
