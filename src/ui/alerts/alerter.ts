import { type Question, dueQuestions, isQuietAt, stillTold } from '../../core/alerts/questions';
import type { AlertSettings, AlertSound } from '../../core/model/alert-settings';
import { playSound } from './sounds';
import { toldStore } from './told-store';

/** What is to be told, and how. */
export interface AlertState {
  /** Null: it is not known yet. */
  readonly questions: readonly Question[] | null;
  readonly settings: AlertSettings;
  /** Nobody is told who has said that they are not answering. */
  readonly isAnswering: boolean;
  /** The conversation that this tab shows; null: none. */
  readonly conversationId: string | null;
}

export interface AlerterPort {
  /** Tabs of the same person on the same site share it. */
  readonly name: string;
  /** Title and words of a notification. */
  wordsOf(questions: readonly Question[], showsWords: boolean): { title: string; body: string };
  /** Whoever is told has clicked. */
  onOpen(conversationId: string): void;
}

export interface Alerter {
  follow(state: AlertState): void;
  stop(): void;
}

/** What tabs of one browser tell each other: play this; look anew, for a question may have been read. */
type TabMessage = { readonly kind: 'play'; readonly sound: AlertSound } | { readonly kind: 'look' };

/** Quiet hours end and minutes go by without a word from the server. */
const LOOK_EVERY_MS = 20_000;

/**
 * Tells somebody of questions, once however many tabs are open: one tab decides and shows notifications, and one that may make
 * a sound does. A notification is taken back when its question does not wait any more or is before somebody's eyes.
 */
export function startAlerter({ name, wordsOf, onOpen }: AlerterPort): Alerter {
  const store = toldStore(name);
  const stopped = new AbortController();
  const { signal } = stopped;
  const channel = 'BroadcastChannel' in globalThis ? new BroadcastChannel(name) : null;
  let state: AlertState | null = null;
  let isDeciding = false;
  const notices = noticesOf(wordsOf, onOpen);
  const play = oneSounder(name, signal);
  const look = async (): Promise<void> => {
    if (!isDeciding || state === null || state.questions === null) return;
    const inFront = await conversationsInFront(name);
    const { questions, settings, isAnswering } = state;
    if (questions === null || signal.aborted) return;
    notices.takeBack(questions, inFront);
    const now = new Date();
    const told = stillTold(store.read(), questions);
    const isSilent = !isAnswering || isQuietAt(settings.quietHours, now.getHours() * 60 + now.getMinutes());
    const due = isSilent ? [] : dueQuestions(questions, told, settings, now.getTime());
    store.write({ ...told, ...Object.fromEntries(due.map(({ key }) => [key, now.getTime()])) });
    const unseen = due.filter(({ conversation }) => !inFront.has(conversation.id));
    if (unseen.length === 0) return;
    if (settings.sound !== null) {
      play(settings.sound);
      channel?.postMessage({ kind: 'play', sound: settings.sound } satisfies TabMessage);
    }
    if (settings.isNotified && inFront.size === 0) notices.show(unseen, settings.showsWords);
  };
  const lookHere = (): void => void look();
  /** Here and in the tab that decides. */
  const lookEverywhere = (): void => {
    if (signal.aborted) return;
    lookHere();
    channel?.postMessage({ kind: 'look' } satisfies TabMessage);
  };
  const front = holdInFront(name, signal, lookEverywhere);

  if (channel !== null)
    channel.onmessage = ({ data }: MessageEvent<TabMessage>) => {
      if (data.kind === 'play') play(data.sound);
      else lookHere();
    };
  holdAlone(`${name}:decides`, signal, () => {
    isDeciding = true;
    lookHere();
  });
  const timer = setInterval(lookHere, LOOK_EVERY_MS);
  addEventListener('pagehide', notices.closeAll, { signal });
  return {
    follow: (next) => {
      state = next;
      front.at(next.conversationId);
      lookHere();
    },
    stop: () => {
      clearInterval(timer);
      notices.closeAll();
      stopped.abort();
      channel?.close();
    },
  };
}

interface Notices {
  show(questions: readonly Question[], showsWords: boolean): void;
  /** Closes what tells of questions that wait no more, or that are in front. */
  takeBack(questions: readonly Question[], inFront: ReadonlySet<string>): void;
  closeAll(): void;
}

/** The notifications this tab has shown. */
function noticesOf(wordsOf: AlerterPort['wordsOf'], onOpen: AlerterPort['onOpen']): Notices {
  const shown = new Map<string, Notification>();
  return {
    show: (questions, showsWords) => {
      const [first] = questions;
      if (first === undefined || permissionNow() !== 'granted') return;
      const { title, body } = wordsOf(questions, showsWords);
      for (const { key } of questions) shown.get(key)?.close();
      try {
        const notification = new Notification(title, { body, tag: first.key, icon: '/icon.svg' });
        notification.onclick = () => {
          window.focus();
          notification.close();
          onOpen(first.conversation.id);
        };
        for (const { key } of questions) shown.set(key, notification);
      } catch {
        // a browser that says yes and shows none: the number on the tab is left
      }
    },
    takeBack: (questions, inFront) => {
      const waiting = new Set(
        questions.filter(({ conversation }) => !inFront.has(conversation.id)).map(({ key }) => key),
      );
      for (const [key, notification] of shown) {
        if (waiting.has(key)) continue;
        shown.delete(key);
        // One that tells of several stays for as long as one of them waits.
        if (![...shown.values()].includes(notification)) notification.close();
      }
    },
    closeAll: () => shown.forEach((one) => one.close()),
  };
}

/** Plays in this tab if it is the one of all that makes sounds: of those in which somebody has clicked, the first. */
function oneSounder(name: string, signal: AbortSignal): (sound: AlertSound) => void {
  let isSounding = false;
  onFirstTouch(signal, () =>
    holdAlone(`${name}:sounds`, signal, () => {
      isSounding = true;
    }),
  );
  return (sound) => {
    if (isSounding) playSound(sound);
  };
}

/** As soon as somebody has clicked in this tab or pressed a key there. */
function onFirstTouch(stopped: AbortSignal, begin: () => void): void {
  const waiting = new AbortController();
  const signal = AbortSignal.any([waiting.signal, stopped]);
  for (const kind of ['pointerdown', 'keydown'])
    addEventListener(
      kind,
      () => {
        waiting.abort();
        begin();
      },
      { signal, capture: true },
    );
}

/** Browsers on phones show no notification of an open page, though some say that they would. */
const PHONES = /Android|iPhone|iPad/;

/** What this browser says of notifications; `none`: it shows none, or not at this address. */
export function permissionNow(): NotificationPermission | 'none' {
  const mayShow = isSecureContext && 'Notification' in globalThis && !PHONES.test(navigator.userAgent);
  return mayShow ? Notification.permission : 'none';
}

/** What only one tab does, as soon as it is this one's turn, and until it is stopped or closed. Where a browser has no locks, every tab does. */
function holdAlone(name: string, signal: AbortSignal, begin: () => void): void {
  if (!('locks' in navigator)) return begin();
  const held = navigator.locks.request(name, { signal }, () => {
    begin();
    return new Promise<void>((release) => signal.addEventListener('abort', () => release()));
  });
  held.catch(() => undefined); // it was stopped before it was its turn
}

const frontName = (name: string, conversationId: string): string => `${name}:front:${conversationId}`;

/** A tab in front says so, and which conversation it shows, by a lock that goes with it however it ends. */
function holdInFront(
  name: string,
  stopped: AbortSignal,
  onChange: () => void,
): { at(conversationId: string | null): void } {
  let conversationId: string | null = null;
  let held: { readonly name: string; readonly release: () => void } | null = null;
  const hold = (): void => {
    if (!('locks' in navigator)) return;
    const wanted = document.hasFocus() ? frontName(name, conversationId ?? '') : null;
    if (wanted === (held?.name ?? null)) return;
    held?.release();
    held = null;
    if (wanted === null) return onChange();
    const released = new AbortController();
    held = { name: wanted, release: () => released.abort() };
    void navigator.locks.request(wanted, { mode: 'shared' }, () => {
      onChange();
      return new Promise<void>((release) => {
        if (released.signal.aborted) release();
        else released.signal.addEventListener('abort', () => release());
      });
    });
  };
  for (const kind of ['focus', 'blur', 'visibilitychange'])
    addEventListener(kind, hold, { signal: stopped, capture: true });
  stopped.addEventListener('abort', () => held?.release());
  return {
    at: (next) => {
      conversationId = next;
      hold();
    },
  };
}

/** The conversations that tabs in front show; the empty name of a tab that shows none. */
async function conversationsInFront(name: string): Promise<ReadonlySet<string>> {
  if (!('locks' in navigator)) return new Set(document.hasFocus() ? [''] : []);
  const { held = [] } = await navigator.locks.query();
  const prefix = frontName(name, '');
  return new Set(
    held.flatMap((lock) => (lock.name?.startsWith(prefix) === true ? [lock.name.slice(prefix.length)] : [])),
  );
}
