import type { CaseKey } from '../model/text-keys';
import type { When } from './condition';
import type { Locale, Seconds } from './units';

/** What an invitation does ([I10]): it speaks beside the launcher, opens the window, or stirs the launcher once. */
export const APPROACHES = ['speak', 'open', 'stir'] as const;
export type Approach = (typeof APPROACHES)[number];

/** [I5] How often one visitor may get it. */
export type OncePer =
  { readonly kind: 'page' | 'visit' | 'visitor' } | { readonly kind: 'days'; readonly days: number };

export type Invitation = {
  readonly id: string;
  readonly name: string;
  /** Off: prepared, and shown to nobody. */
  readonly isOn: boolean;
  readonly approach: Approach;
  /** [I10] On phones *open* speaks instead unless this says otherwise. */
  readonly opensOnPhones: boolean;
  readonly when: When;
  readonly oncePer: OncePer;
  /** At most so often in all for one visitor; null: no such limit. */
  readonly atMost: number | null;
  /** Ours that it says where the owner has not worded it; null: it has only words of the owner. */
  readonly defaultText: CaseKey | null;
  readonly texts: Readonly<Record<Locale, string>>;
};

/** [I6], [I7] What holds for all invitations of a site together. */
export type InvitationLimits = {
  readonly perVisit: number;
  /** From the moment the last one left the screen. */
  readonly gap: Seconds;
  /** None so shortly before closing. */
  readonly beforeClosing: Seconds;
  /** None so long after a conversation's last message. */
  readonly afterTalk: Seconds;
  /** All rest so long after a *No, thanks*. */
  readonly restDays: number;
};
