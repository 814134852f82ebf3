import type { ToldQuestions } from '../../core/alerts/questions';

/** When this browser told somebody of which question, so that a tab that comes later does not tell it again. */
export interface ToldStore {
  read(): ToldQuestions;
  write(told: ToldQuestions): void;
}

export function toldStore(name: string): ToldStore {
  return {
    read: () => {
      try {
        return (JSON.parse(localStorage.getItem(name) ?? '{}') ?? {}) as ToldQuestions;
      } catch {
        return {}; // a browser that keeps nothing, or somebody else's words
      }
    },
    write: (told) => {
      try {
        localStorage.setItem(name, JSON.stringify(told));
      } catch {
        // a browser that keeps nothing tells once more after a reload
      }
    },
  };
}
