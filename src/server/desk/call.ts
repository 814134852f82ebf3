import type { Member } from '../http/who';
import type { State } from '../state';

export interface DeskCall {
  readonly state: State;
  readonly request: Request;
  readonly member: Member;
  /** What stood for `*` in the route. */
  readonly id: string;
}

/** Who does something, where and when. */
export function actorOf({ state, member }: DeskCall): { siteId: string; personId: string; at: number } {
  return { siteId: member.site.id, personId: member.person.id, at: state.clock.now() };
}
