import { type EpochMs, MINUTE_MS } from '../model/units';
import type { DeskConversation } from '../wire/desk';
import type { AlertScope, AlertSettings, QuietHours } from '../model/alert-settings';

/** Who is to be told, and of what. */
export interface AlertReader {
  readonly personId: string;
  readonly teamIds: readonly string[];
  readonly scope: AlertScope;
}

/** A question that waits for somebody: one name for as long as the same words wait, another once the visitor asks again. */
export interface Question {
  readonly key: string;
  readonly conversation: DeskConversation;
}

/** Questions that somebody may be told of, longest first: a visitor has really written, it is theirs to answer, and nobody else's. */
export function questionsFor(list: readonly DeskConversation[], reader: AlertReader): Question[] {
  return list
    .flatMap((conversation) => {
      const since = conversation.waitingSinceMs;
      return since === null || !isFor(conversation, reader)
        ? []
        : [{ since, question: { key: `${conversation.id}@${since}`, conversation } }];
    })
    .sort((a, b) => a.since - b.since)
    .map(({ question }) => question);
}

function isFor(one: DeskConversation, { personId, teamIds, scope }: AlertReader): boolean {
  if (one.isPractice || one.isDone || (one.status !== 'asked' && one.status !== 'joined')) return false;
  if (one.responderId === personId) return true;
  if (one.responderId !== null && one.leftMs === null) return false; // a colleague is on it
  return scope === 'all' || one.teamId === null || teamIds.includes(one.teamId);
}

/** When each question was told last, by its key. */
export type ToldQuestions = Readonly<Record<string, EpochMs>>;

/** Questions that are to be told now: never told, or so long ago that it is time again. */
export function dueQuestions(
  questions: readonly Question[],
  told: ToldQuestions,
  { againMinutes }: Pick<AlertSettings, 'againMinutes'>,
  now: EpochMs,
): Question[] {
  return questions.filter(({ key }) => {
    const at = told[key];
    return at === undefined || (againMinutes !== null && now - at >= againMinutes * MINUTE_MS);
  });
}

/** What was told of questions that still wait; the rest is forgotten. */
export function stillTold(told: ToldQuestions, questions: readonly Question[]): ToldQuestions {
  const keys = new Set(questions.map(({ key }) => key));
  return Object.fromEntries(Object.entries(told).filter(([key]) => keys.has(key)));
}

/** Whether a minute of the day is one of the quiet hours; they may run over midnight, and are none where they end as they begin. */
export function isQuietAt(hours: QuietHours | null, minute: number): boolean {
  if (hours === null || hours.from === hours.until) return false;
  const { from, until } = hours;
  return from < until ? from <= minute && minute < until : minute >= from || minute < until;
}
