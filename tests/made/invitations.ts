import type { Condition, ConditionBody, When } from '../../src/core/model/condition';
import type { Widget } from '../../src/core/model/design';
import type { Invitation } from '../../src/core/model/invitation';

/** A condition that is not negated. */
export const condition = (body: ConditionBody): Condition => ({ ...body, isNot: false });
export const not = (body: ConditionBody): Condition => ({ ...body, isNot: true });
export const all = (...items: When['items']): When => ({ join: 'all', items });
export const any = (...items: When['items']): When => ({ join: 'any', items });

/** An invitation that speaks at once and once a page view, unless `change` says otherwise. */
export function madeInvitation(change: Partial<Invitation> = {}): Invitation {
  return {
    id: 'invitation-a',
    name: 'Made up',
    isOn: true,
    approach: 'speak',
    opensOnPhones: false,
    when: all(),
    oncePer: { kind: 'page' },
    atMost: null,
    defaultText: 'invitation.stayed',
    texts: {},
    ...change,
  };
}

/** Invitations with ids a, b, c … in the order they are given. */
export function invitations(...changes: Partial<Invitation>[]): Pick<Widget, 'invitations'> {
  return {
    invitations: changes.map((change, place) =>
      madeInvitation({ id: `invitation-${'abcdefghijklmnopqrstuvwxyz'[place] ?? ''}`, ...change }),
    ),
  };
}
