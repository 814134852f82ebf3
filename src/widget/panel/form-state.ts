import { type Checked, checkReplies } from '../../core/forms/check';
import {
  type FormPlace,
  askedFields,
  fieldsOf,
  fromKept,
  saysNothing,
  withHidden,
  wordsField,
} from '../../core/forms/fill';
import type { Replies } from '../../core/model/form';
import type { Heard } from '../../core/words/hearer';

/** A form of this page as it is filled in so far; it stays through every change of moment ([M5]). */
export interface FormState {
  readonly replies: Replies;
  readonly faults: Checked['faults'];
}

export interface FormKeeper {
  /** Of a form that was not touched yet: what is remembered of earlier ones ([V7]). */
  read(place: FormPlace, heard: Heard): FormState;
  reply(place: FormPlace, heard: Heard, id: string, reply: string | readonly string[]): void;
  setFaults(place: FormPlace, heard: Heard, faults: Checked['faults']): void;
  /** Holds a form against its fields and keeps what is wrong; null: something is, else the replies in one spelling. */
  check(place: FormPlace, heard: Heard, draft: string, hasSaid: boolean): Replies | null;
  /** It was sent: the next one begins anew. */
  forget(place: FormPlace): void;
}

export function formKeeper(): FormKeeper {
  const forms = new Map<FormPlace, FormState>();
  const read = (place: FormPlace, { widget, circumstances }: Heard): FormState =>
    forms.get(place) ?? {
      replies: fromKept(fieldsOf(widget, place), circumstances.memory.replies),
      faults: {},
    };
  return {
    read,
    reply: (place, heard, id, reply) => {
      const { replies, faults } = read(place, heard);
      const left = Object.fromEntries(Object.entries(faults).filter(([one]) => one !== id)); // being mended
      forms.set(place, { replies: { ...replies, [id]: reply }, faults: left });
    },
    setFaults: (place, heard, faults) => void forms.set(place, { ...read(place, heard), faults }),
    check: (place, heard, draft, hasSaid) => {
      const fields = askedFields(fieldsOf(heard.widget, place), place === 'note' && hasSaid);
      const words = place === 'note' ? wordsField(fields) : undefined;
      const { replies: own } = read(place, heard);
      const given = withHidden(
        fields,
        words === undefined ? own : { ...own, [words.id]: draft },
        heard.circumstances.visitor.attributes,
      );
      const { replies, faults } = checkReplies(
        fields,
        given,
        teamsOf(heard).map(([id]) => id),
      );
      const isEmpty = place === 'note' && !hasSaid && saysNothing('', replies);
      const all =
        isEmpty && words !== undefined ? { ...faults, [words.id]: { say: 'note.noText' as const } } : faults;
      forms.set(place, { replies: own, faults: all });
      return Object.keys(all).length === 0 ? replies : null;
    },
    forget: (place) => void forms.delete(place),
  };
}

/** Teams of the widget by their public names ([D6]: one that is gone is not offered). */
export function teamsOf({ site, widget }: Heard): [id: string, name: string][] {
  return widget.teams.flatMap((id): [string, string][] => {
    const team = site.facts.teams[id];
    return team === undefined
      ? []
      : [[id, team.name[site.design.locale] ?? Object.values(team.name)[0] ?? id]];
  });
}
