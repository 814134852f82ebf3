import { type CheckedReplies, checkReplies } from '../../core/forms/check';
import { askedFields, fieldsOf, fromKept, saysNothing, withHidden, wordsField } from '../../core/forms/fill';
import type { FormPlace } from '../../core/model/form';
import type { Replies } from '../../core/model/form';
import type { WireField } from '../../core/wire/form-file';
import type { PaintedText } from '../../core/decide/reader';

/** A form of this page as it is filled in so far; it stays through every change of moment ([M5]). */
export interface FormState {
  readonly replies: Replies;
  readonly faults: CheckedReplies['faults'];
}

export interface FormStore {
  /** Of a form that was not touched yet: what is remembered of earlier ones ([V7]). */
  read(place: FormPlace, painted: PaintedText): FormState;
  reply(place: FormPlace, painted: PaintedText, id: string, reply: string | readonly string[]): void;
  setFaults(place: FormPlace, painted: PaintedText, faults: CheckedReplies['faults']): void;
  /** Holds a form against its fields and keeps what is wrong; null: something is, else the replies in one spelling. */
  check(place: FormPlace, painted: PaintedText, draft: string, hasSaid: boolean): Replies | null;
  /** It was sent: the next one begins anew. */
  forget(place: FormPlace): void;
}

export function makeFormStore(): FormStore {
  const forms = new Map<FormPlace, FormState>();
  const read = (place: FormPlace, { widget, circumstances }: PaintedText): FormState =>
    forms.get(place) ?? {
      replies: fromKept(fieldsOf(widget, place), circumstances.memory.replies),
      faults: {},
    };
  return {
    read,
    reply: (place, painted, id, reply) => {
      const { replies, faults } = read(place, painted);
      const left = Object.fromEntries(Object.entries(faults).filter(([one]) => one !== id)); // being mended
      forms.set(place, { replies: { ...replies, [id]: reply }, faults: left });
    },
    setFaults: (place, painted, faults) => void forms.set(place, { ...read(place, painted), faults }),
    check: (place, painted, draft, hasSaid) => {
      const fields = fieldsAt(painted, place, hasSaid);
      const words = place === 'note' ? wordsField(fields) : undefined;
      const { replies: own } = read(place, painted);
      const given = withHidden(
        fields,
        words === undefined ? own : { ...own, [words.id]: draft },
        painted.circumstances.visitor.attributes,
      );
      const { replies, faults } = checkReplies(
        fields,
        given,
        teamsOf(painted).map(([id]) => id),
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

/** What is asked at a place; of it may stay empty what the facts, or what was said before, make free. */
export function fieldsAt(
  { site, widget }: PaintedText,
  place: FormPlace,
  hasSaid = false,
): readonly WireField[] {
  return askedFields(fieldsOf(widget, place), {
    hasSaid: place === 'note' && hasSaid,
    sendsLetters: site.facts.sendsLetters === true,
  });
}

/** Teams of the widget by their public names ([D6]: one that is gone is not offered). */
export function teamsOf({ site, widget }: PaintedText): [id: string, name: string][] {
  return widget.teams.flatMap((id): [string, string][] => {
    const team = site.facts.teams[id];
    return team === undefined
      ? []
      : [[id, team.name[site.design.locale] ?? Object.values(team.name)[0] ?? id]];
  });
}
