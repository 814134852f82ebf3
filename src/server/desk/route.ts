import type { HttpAnswer, HttpRequest } from '../http/exchange';
import type { Role } from '../../core/model/role';
import type { ClassConstructor } from 'class-transformer';
import { LIMITS } from '../../core/limits';
import type { Member } from '../accounts/who';
import type { Actor } from '../actor';
import { readJson } from '../http/read-body';
import { json } from '../http/replies';
import { parseInput } from '../input/parse-input';
import type { State } from '../state';

/** One request of a signed-in member of a site. */
export interface DeskCall {
  readonly state: State;
  readonly request: HttpRequest;
  readonly member: Member;
  /** Of the session; what it is kept under. */
  readonly sessionHash: string;
  /** What stood for `*` in the route. */
  readonly id: string;
}

/** Who calls, on which site, and when. */
export function actorOf({ state, member }: DeskCall): Actor {
  return { siteId: member.site.id, personId: member.person.id, at: state.clock.now() };
}

/** One address of the desk: the role that may call it, and what answers. */
export interface DeskRoute {
  readonly role: Role;
  answer(call: DeskCall): Promise<HttpAnswer>;
}

/** By method and path below `/api/s/<site>/`; `*` is an id. */
export type DeskRoutes = Readonly<Record<string, DeskRoute>>;

/** A route that reads nothing but its address; uploads read their body themselves. */
export function route(role: Role, answer: DeskRoute['answer']): DeskRoute {
  return { role, answer };
}

/** A route whose body is JSON of one shape; what does not fit is answered with its faults by field. */
export function routeWith<T extends object>(
  role: Role,
  Input: ClassConstructor<T>,
  answer: (call: DeskCall, input: T) => Promise<HttpAnswer>,
): DeskRoute {
  return {
    role,
    answer: async (call) => {
      const read = await readJson(call.request, LIMITS.ownerBodyBytes, LIMITS.designDepth + 4);
      const parsed = read.ok ? parseInput(Input, read.value) : read;
      return parsed.ok ? answer(call, parsed.value) : json(400, { errors: parsed.errors }, {});
    },
  };
}
