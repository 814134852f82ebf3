import type { Design } from '../model/design';
import type { TeamUse } from '../wire/desk';

/** Where a design names a team: widgets that ask it, and texts that are said differently for it. */
export function teamUses({ widgets }: Design, teamId: string): TeamUse[] {
  return widgets.flatMap(({ name, teams, cases }): TeamUse[] => [
    ...(teams.includes(teamId) ? [{ widget: name, how: 'asks' } as const] : []),
    ...(cases.some(({ when }) => when.some(([kind, id]) => kind === 'team' && id === teamId))
      ? [{ widget: name, how: 'says' } as const]
      : []),
  ]);
}
