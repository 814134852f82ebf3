import type { Device } from '../core/model/device';
import type { EpochMs } from '../core/model/units';

export type Off = () => void;

/**
 * Everything the runtime knows of where it stands. The page gives one of these, the stage another, so that a tile can
 * be a phone at night in Arabic.
 */
export interface Surroundings {
  /** Where to paint: a shadow root of our own. */
  readonly root: ShadowRoot;
  /** The server's time, carried by a monotonic clock ([L4]). */
  now(): EpochMs;
  /** Calls once at an instant; at once where it has passed. */
  wakeAt(instant: EpochMs, call: () => void): Off;
  /** CSS pixels of the space the widget stands in. */
  width(): number;
  /** By the room there is: a computer whose text is at 200 % has as little as a phone. */
  device(): Device;
  /** What it is, whatever the room: what is pointed at with a mouse is no phone. */
  kind(): Device;
  scheme(): 'day' | 'evening';
  /** The offset from UTC of the clock its reader lives by, at an instant, in minutes ([T8]). */
  minutesEast(instant: EpochMs): number;
}

/** The offset of this device's clock from UTC at an instant, in minutes. */
export function deviceMinutesEast(instant: EpochMs): number {
  return -new Date(instant).getTimezoneOffset();
}

/** Listens, and gives the way to stop. */
export function listen(
  target: EventTarget,
  kind: string,
  call: (event: Event) => void,
  options?: AddEventListenerOptions,
): Off {
  target.addEventListener(kind, call, options);
  return () => target.removeEventListener(kind, call, options);
}

/** Calls when the page may have slept: it is seen again, comes back from the cache, or its line is back. */
export function onWake(call: () => void): Off {
  const offs = [
    listen(document, 'visibilitychange', () => {
      if (!document.hidden) call();
    }),
    listen(window, 'pageshow', call),
    listen(window, 'online', call),
  ];
  return () => offs.forEach((off) => off());
}

/** Tells a phone from the rest by the space there is, not by its name. */
export function deviceOf(width: number, height: number): Device {
  if (Math.min(width, height) < 500) return 'phone';
  return width < 1000 ? 'tablet' : 'desktop';
}
