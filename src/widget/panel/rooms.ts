import type { DesignFileV1 } from '../../core/wire/design-file';
import { type RoomFileV1, joinDesign } from '../../core/wire/split';

export interface Rooms {
  /** The whole design; null while its room is on its way. Asked again, it is the same object. */
  whole(door: DesignFileV1, address: string): DesignFileV1 | null;
}

/** Fetches the windows' own files; they never change, so each is asked for once. A failed one is asked for at the next painting. */
export function roomLoader(onCome: () => void): Rooms {
  const known = new Map<string, DesignFileV1 | null>();
  const fetchRoom = async (door: DesignFileV1, address: string): Promise<void> => {
    const response = await fetch(address, { credentials: 'omit' });
    if (!response.ok) throw new Error(`The room was answered ${response.status}.`);
    known.set(address, joinDesign(door, (await response.json()) as RoomFileV1));
    onCome();
  };
  return {
    whole: (door, address) => {
      const found = known.get(address);
      if (found !== undefined) return found;
      known.set(address, null);
      fetchRoom(door, address).catch(() => known.delete(address));
      return null;
    },
  };
}
