import type { Signal } from '../../core/invitations/judge';
import type { InstantEvent } from '../../core/model/circumstances';
import { type Off, listen } from '../surroundings';

/** What the page does, told only as far as a decision asked for it ([A4]). */
export interface SensorListener {
  scrolled(percent: number): void;
  active(): void;
  seen(selector: string): void;
  instantEvent(instantEvent: InstantEvent): void;
  focus(): void;
}

export interface Sensors {
  /** Listens to these signals and no others. */
  listenTo(signals: readonly Signal[], seen: readonly string[], clicked: readonly string[]): void;
}

const ACTS = ['pointermove', 'pointerdown', 'keydown', 'touchstart', 'scroll'];
/** [I2] So long after the focus left a form that was begun, it counts as left. */
const FORM_LEFT_MS = 5000;

/** Listeners on the page: each only while a decision needs it, none that polls. */
export function sensorsFor(listener: SensorListener): Sensors {
  const running = new Map<string, Off>();
  const starters: Readonly<Record<Signal, (seen: readonly string[], clicked: readonly string[]) => Off>> = {
    scroll: () => {
      const tell = (): void => listener.scrolled(scrolledNow());
      tell();
      return listen(window, 'scroll', tell, PASSIVE);
    },
    leave: () =>
      listen(document, 'mouseout', (event) => {
        const { relatedTarget, clientY } = event as MouseEvent;
        if (relatedTarget === null && clientY <= 0) listener.instantEvent({ kind: 'leaving' });
      }),
    activity: () => all(ACTS.map((kind) => listen(window, kind, () => listener.active(), PASSIVE))),
    click: (_, clicked) =>
      listen(
        document,
        'click',
        (event) => {
          const target = event.target as Element | null;
          for (const selector of clicked)
            if (matches(target, selector)) listener.instantEvent({ kind: 'clicked', selector });
        },
        PASSIVE,
      ),
    seen: (seen) => observe(seen, listener.seen),
    focus: () =>
      all(['focusin', 'focusout'].map((kind) => listen(document, kind, () => setTimeout(listener.focus)))),
    form: () => observeForms(() => listener.instantEvent({ kind: 'form-left' })),
  };
  return {
    listenTo: (signals, seen, clicked) => {
      for (const [signal, off] of running)
        if (!signals.includes(signal as Signal)) {
          running.delete(signal);
          off();
        }
      for (const signal of signals)
        if (!running.has(signal)) {
          running.set(signal, () => undefined);
          running.set(signal, starters[signal](seen, clicked));
        }
    },
  };
}

const PASSIVE = { passive: true, capture: true } as const;

function all(offs: readonly Off[]): Off {
  return () => offs.forEach((off) => off());
}

/** [I2] How much of the page has been above the lower edge; a page that cannot scroll is 100. */
export function scrolledNow(): number {
  const { scrollHeight } = document.documentElement;
  return scrollHeight <= innerHeight ? 100 : Math.min(100, ((scrollY + innerHeight) / scrollHeight) * 100);
}

/** A selector of an owner that cannot be read matches nothing. */
function matches(target: Element | null, selector: string): boolean {
  try {
    return target !== null && target.closest(selector) !== null;
  } catch {
    return false; // not a selector
  }
}

function observe(selectors: readonly string[], tell: (selector: string) => void): Off {
  const observers = selectors.map((selector) => {
    const observer = new IntersectionObserver(
      (entries) => {
        if (entries.some(({ intersectionRatio }) => intersectionRatio >= 0.5)) tell(selector);
      },
      { threshold: 0.5 },
    );
    try {
      document.querySelectorAll(selector).forEach((one) => observer.observe(one));
    } catch {
      // Not a selector: nothing is ever seen by it.
    }
    return observer;
  });
  return () => observers.forEach((observer) => observer.disconnect());
}

/** [I2] A form in which something was entered, that the focus left for 5 s, and that was not sent. Only this is heard, never what. */
function observeForms(tell: () => void): Off {
  let begun: unknown = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const formOf = ({ target }: Event): unknown => (target as HTMLInputElement | null)?.form ?? null;
  const wait = (): void => {
    clearTimeout(timer);
    timer = setTimeout(() => {
      if (begun !== null) tell();
      begun = null;
    }, FORM_LEFT_MS);
  };
  return all([
    listen(document, 'input', (event) => (begun = formOf(event)), PASSIVE),
    listen(document, 'focusin', (event) => formOf(event) === begun && clearTimeout(timer)),
    listen(document, 'focusout', (event) => begun !== null && formOf(event) === begun && wait()),
    listen(document, 'submit', () => (begun = null), PASSIVE),
    () => clearTimeout(timer),
  ]);
}
