import { DAY_MS, type EpochMs, MINUTE_MS } from '../model/units';
import { dayText, parseDay } from './days';
import { type Zone, offsetAt, spanOfWall } from './zone';

/** A wall clock's reading, `YYYY-MM-DDTHH:MM`, at an instant. */
export function wallOf(zone: Zone, instant: EpochMs): string {
  const local = instant + offsetAt(zone, instant);
  const day = Math.floor(local / DAY_MS);
  const minutes = Math.floor((local - day * DAY_MS) / MINUTE_MS);
  const two = (value: number): string => String(value).padStart(2, '0');
  return `${dayText(day)}T${two(Math.floor(minutes / 60))}:${two(minutes % 60)}`;
}

/**
 * The first instant at which the wall clock reads so ([H4]); where it never does, because the clock jumps over it, the
 * one after the jump. Null where it is no date and time.
 */
export function instantOf(zone: Zone, wall: string): EpochMs | null {
  const match = /^(\d{4}-\d{2}-\d{2})T(\d{2}):(\d{2})$/.exec(wall);
  const day = parseDay(match?.[1] ?? '');
  const [hours, minutes] = [Number(match?.[2]), Number(match?.[3])];
  if (day === null || hours > 23 || minutes > 59) return null;
  const local = day * DAY_MS + (hours * 60 + minutes) * MINUTE_MS;
  if (zone.starts.length === 0) return local;
  return (
    (spanOfWall(zone, local, local + MINUTE_MS) ?? spanOfWall(zone, local, local + 2 * DAY_MS))?.from ?? null
  );
}
