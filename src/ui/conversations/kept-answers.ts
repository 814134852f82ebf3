/** An answer that is not sent yet. */
export interface HalfWritten {
  readonly text: string;
  /** What it was sent as, where no acknowledgement has come: sent again under this id, it is stored once. */
  readonly clientId: string | null;
}

/** What somebody has half written, by conversation. */
export interface KeptAnswers {
  get(conversationId: string): HalfWritten;
  /** An empty one is forgotten. */
  set(conversationId: string, answer: HalfWritten): void;
}

type Kept = HalfWritten & { readonly at: number };

/** So many are kept; the oldest goes first. */
const KEPT_MAX = 50;
const NOTHING: HalfWritten = { text: '', clientId: null };

/** Where practice is deleted with the page. */
export const NOT_KEPT: KeptAnswers = { get: () => NOTHING, set: () => undefined };

/**
 * Half-written answers of one person on one site. They stay in the browser, so that neither another conversation nor a
 * reload nor a crash loses them; where nothing can be stored they last as long as the page.
 */
export function keptAnswers(
  storage: () => Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>,
  { siteKey, personId }: { readonly siteKey: string; readonly personId: string },
): KeptAnswers {
  const name = `sunny-porch-answers:${siteKey}:${personId}`;
  let unstored: Record<string, Kept> | null = null;
  const read = (): Record<string, Kept> => {
    if (unstored !== null) return unstored;
    try {
      return parsed(storage().getItem(name));
    } catch {
      return {}; // storage that throws, or holds what is not ours
    }
  };
  const write = (answers: Record<string, Kept>): void => {
    try {
      if (Object.keys(answers).length === 0) storage().removeItem(name);
      else storage().setItem(name, JSON.stringify(answers));
      unstored = null;
    } catch {
      unstored = answers; // no storage, or none left
    }
  };
  return {
    get: (conversationId) => {
      const answers = read();
      const kept = Object.hasOwn(answers, conversationId) ? answers[conversationId] : undefined;
      return kept === undefined ? NOTHING : { text: kept.text, clientId: kept.clientId };
    },
    set: (conversationId, answer) => {
      const others = Object.entries(read()).filter(([id]) => id !== conversationId);
      const own: [string, Kept][] =
        answer.text.trim() === '' ? [] : [[conversationId, { ...answer, at: Date.now() }]];
      // The newest first; of two at the same time, what was kept last.
      const all = [...own, ...others].sort(([, a], [, b]) => b.at - a.at);
      write(Object.fromEntries(all.slice(0, KEPT_MAX)));
    },
  };
}

function parsed(json: string | null): Record<string, Kept> {
  const value: unknown = JSON.parse(json ?? '{}');
  if (typeof value !== 'object' || value === null) return {};
  return Object.fromEntries(Object.entries(value).filter((one): one is [string, Kept] => isKept(one[1])));
}

function isKept(value: unknown): value is Kept {
  if (typeof value !== 'object' || value === null) return false;
  const { text, clientId, at } = value as Partial<Record<keyof Kept, unknown>>;
  return (
    typeof text === 'string' && (clientId === null || typeof clientId === 'string') && typeof at === 'number'
  );
}
