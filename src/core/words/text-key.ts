// The widget needs the names of the texts, never the texts: types only, so that no byte of the catalogue ships.
export type { TextKey } from './catalogue';
