import type { Corner, Place } from '../../core/model/design';
import type { Deed, WidgetState } from '../../core/model/moment';
import type { Setting } from '../../core/model/settings';
import type { CaseKey } from '../../core/words/catalogue';
import { cornerWords } from '../wording/changes';
import { SETTING_WORDS } from '../wording/settings';
import { textName } from '../wording/texts';
import type { DraftSaver } from './draft-saver';

export interface DesignEdits {
  setBrand(brand: string): void;
  setCorner(corner: Corner): void;
  setPlace(place: Place): void;
  setSetting(setting: Setting, value: number | null): void;
  setDeed(state: WidgetState, deed: Deed): void;
  setText(locale: string, key: CaseKey, text: string): void;
  backToOurs(locale: string, key: CaseKey): void;
}

/** The edits of the Design screen as patches of the draft, each with the words that undo shows. `widget` is its place in the order. */
export function designEdits(saver: DraftSaver, widget: number): DesignEdits {
  const at = ['widgets', widget] as const;
  return {
    setBrand: (brand) => saver.change([{ op: 'set', path: [...at, 'look', 'brand'], value: brand }], 'brand colour'),
    setCorner: (corner) =>
      saver.change([{ op: 'set', path: [...at, 'place', 'corner'], value: corner }], `launcher to the ${cornerWords(corner)}`),
    setPlace: (place) =>
      saver.change([{ op: 'set', path: [...at, 'place'], value: { ...place } }], `launcher to the ${cornerWords(place.corner)}`),
    setSetting: ({ id, of, path }, value) =>
      saver.change([{ op: 'set', path: [...(of === 'widget' ? at : []), ...path], value }], SETTING_WORDS[id].name.toLowerCase()),
    setDeed: (state, deed) => saver.change([{ op: 'set', path: [...at, 'deeds', state], value: deed }], 'who can answer'),
    setText: (locale, key, text) => {
      const texts = saver.state().design.widgets[widget]?.texts[locale];
      const path = [...at, 'texts', locale];
      const label = textName(key).toLowerCase();
      if (texts === undefined) saver.change([{ op: 'set', path, value: { [key]: text } }], label);
      else saver.change([{ op: 'set', path: [...path, key], value: text }], label);
    },
    backToOurs: (locale, key) =>
      saver.change([{ op: 'remove', path: [...at, 'texts', locale, key] }], `${textName(key).toLowerCase()} back to ours`),
  };
}
