import { cornerFor } from '../../../core/look/place';
import { differencesOf } from '../../../core/draft/differences';
import type { Corner, Place, Widget } from '../../../core/model/design';
import type { Behaviour, WidgetState } from '../../../core/model/moment';
import type { Setting } from '../../../core/model/settings';
import type { Patch } from '../../../core/model/json';
import type { CaseCondition } from '../../../core/model/case-condition';
import { movedCase, newCase } from '../../../core/words/cases';
import type { TextKey } from '../../../core/model/text-keys';
import { type WordingKey, wordingPatches } from '../../../core/words/wordings';
import { newClientId } from '../../parts/new-client-id';
import { wordingName } from '../../wording/cases';
import { cornerWords } from '../../wording/place';
import { SETTING_WORDS } from '../../wording/settings';
import { textName } from '../../wording/texts';
import type { DraftSaver } from './draft-saver';
import { DRAFT_WORDS } from '../../wording/screens/draft';

export interface DesignEdits {
  /** Takes another widget as this one: only what differs is changed. */
  setWidget(next: Widget, words: string): void;
  setCorner(corner: Corner): void;
  setPlace(place: Place): void;
  setSetting(setting: Setting, value: number | null): void;
  setBehaviour(state: WidgetState, behaviour: Behaviour): void;
  /** Changes with one edit id are one step of undo. */
  setText(locale: string, key: WordingKey, text: string, editId: string): void;
  restoreDefaults(locale: string, key: WordingKey, editId: string): void;
  /** After the owner's other ones, before ours; says what is said otherwise. */
  addCase(key: TextKey, when: readonly CaseCondition[]): void;
  setCase(id: string, when: readonly CaseCondition[]): void;
  moveCase(id: string, by: -1 | 1): void;
  removeCase(id: string): void;
}

/** The edits of the Design screen as patches of the draft, each with the words that undo shows. `widget` is its place in the order. */
export function designEdits(saver: DraftSaver, widget: number): DesignEdits {
  const at = ['widgets', widget] as const;
  const nameOf = (key: WordingKey): string => {
    const one = saver.state().design.widgets[widget];
    return one === undefined ? '' : wordingName(one, key, () => DRAFT_WORDS.aTeam);
  };
  const patchesOf = (locale: string, key: WordingKey, text: string | null): Patch[] =>
    wordingPatches(saver.state().design, widget, locale, key, text);
  const placeOf = (id: string): number =>
    saver.state().design.widgets[widget]?.cases.findIndex((one) => one.id === id) ?? -1;
  return {
    setWidget: (next, words) => {
      const now = saver.state().design.widgets[widget];
      const differences = differencesOf(now, next, at);
      const patches = differences.map(({ path, after }): Patch =>
        after === undefined ? { op: 'remove', path } : { op: 'set', path, value: after },
      );
      if (patches.length > 0) saver.change(patches, words);
    },
    setCorner: (corner) =>
      saver.change(
        [{ op: 'set', path: [...at, 'place', 'corner'], value: corner }],
        DRAFT_WORDS.launcherTo(cornerWords(corner)),
      ),
    setPlace: (place) => {
      const before = saver.state().design.widgets[widget]?.place;
      const isOnPhones =
        before !== undefined && before.corner === place.corner && before.phoneCorner !== place.phoneCorner;
      const words = isOnPhones
        ? DRAFT_WORDS.launcherToOnPhones(cornerWords(cornerFor(place, true)))
        : DRAFT_WORDS.launcherTo(cornerWords(place.corner));
      saver.change([{ op: 'set', path: [...at, 'place'], value: { ...place } }], words);
    },
    setSetting: ({ id, of, path, unit }, value) =>
      saver.change(
        [
          {
            op: 'set',
            path: [...(of === 'widget' ? at : []), ...path],
            value: unit === 'switch' ? value === 1 : value,
          },
        ],
        SETTING_WORDS[id].name.toLowerCase(),
      ),
    setBehaviour: (state, behaviour) =>
      saver.change(
        [{ op: 'set', path: [...at, 'behaviours', state], value: behaviour }],
        DRAFT_WORDS.whoCanAnswer,
      ),
    setText: (locale, key, text, editId) =>
      saver.change(patchesOf(locale, key, text), nameOf(key).toLowerCase(), editId),
    restoreDefaults: (locale, key, editId) =>
      saver.change(patchesOf(locale, key, null), DRAFT_WORDS.backToOurs(nameOf(key).toLowerCase()), editId),
    addCase: (key, when) => {
      const { design } = saver.state();
      const one = design.widgets[widget];
      if (one === undefined) return;
      const made = { ...newCase(design, one, key, newClientId()), when };
      saver.change(
        [{ op: 'set', path: [...at, 'cases', one.cases.length], value: made }],
        DRAFT_WORDS.aWordingOf(textName(key).toLowerCase()),
      );
    },
    setCase: (id, when) =>
      saver.change(
        [{ op: 'set', path: [...at, 'cases', placeOf(id), 'when'], value: when }],
        DRAFT_WORDS.whenWordingApplies,
      ),
    moveCase: (id, by) => {
      const one = saver.state().design.widgets[widget];
      const patches = one === undefined ? [] : movedCase(one, widget, id, by);
      if (patches.length > 0) saver.change(patches, DRAFT_WORDS.orderOfWordings);
    },
    removeCase: (id) =>
      saver.change([{ op: 'remove', path: [...at, 'cases', placeOf(id)] }], DRAFT_WORDS.aWordingRemoved),
  };
}
