import type { Circumstances } from '../model/circumstances';
import type { Approach } from '../model/invitation';
import type { WireInvitation, WireItem } from '../wire/design-file';
import { KIND, VALUE, isWireGroup, itemsOf } from '../wire/condition';

/** [I10] What an invitation does here: on phones *open* speaks instead, unless the owner says otherwise. */
export function approachHere(
  [, approach, opensOnPhones]: WireInvitation,
  { visitor }: Pick<Circumstances, 'visitor'>,
): Approach {
  return approach === 'open' && visitor.device === 'phone' && !opensOnPhones ? 'speak' : approach;
}

/** Selectors that the conditions of invitations listen for. */
export function selectorsOf(invitations: readonly WireInvitation[], kind: 'seen' | 'clicked'): string[] {
  const inside = (item: WireItem): string[] => {
    if (isWireGroup(item)) return itemsOf(item).flatMap(inside);
    return item[KIND] === kind ? [String(item[VALUE])] : [];
  };
  return invitations.flatMap(([, , , , , , when]) => inside(when));
}
