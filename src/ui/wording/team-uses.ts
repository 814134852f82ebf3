import type { TeamUse, TeamView } from '../../core/wire/desk';

/** What still names a team, a line each: first in the draft, then in what visitors see. */
export function namedByWords({ inDraft, inPublished }: Pick<TeamView, 'inDraft' | 'inPublished'>): string[] {
  return [
    ...inDraft.map((use) => `${useWords(use)} (draft)`),
    ...inPublished.map((use) => `${useWords(use)} (live or planned)`),
  ];
}

function useWords({ widget, how }: TeamUse): string {
  return how === 'asks' ? `The widget “${widget}” asks this team` : `A text of “${widget}” names this team`;
}
