import type { DesignFileV1 } from '../../core/wire/design-file';
import { type WindowFileV1, joinDesign } from '../../core/wire/split';
import type { Surroundings } from '../surroundings';
import { limitedFetch } from '../limited-fetch';
import { pauseFor } from './retry';

export interface WindowFiles {
  /** The whole design; null while its room is on its way. Asked again, it is the same object. */
  whole(door: DesignFileV1, address: string): DesignFileV1 | null;
}

/** Fetches the windows' own files; they never change, so each is fetched once. One that does not come is tried again, later and later. */
export function windowFileLoader(surroundings: Surroundings, onCome: () => void): WindowFiles {
  const known = new Map<string, DesignFileV1 | null>();
  const fetchWindowFile = async (door: DesignFileV1, address: string): Promise<void> => {
    for (let tries = 0; ; tries++) {
      try {
        const response = await limitedFetch(address);
        if (!response.ok) throw new Error(`it was answered ${response.status}`);
        known.set(address, joinDesign(door, (await response.json()) as WindowFileV1));
        break;
      } catch (error) {
        console.warn(
          `Sunny Porch: ${address} could not be fetched (${String(error)}). The window opens once it is here.`,
        );
        await pauseFor(surroundings, tries);
      }
    }
    onCome();
  };
  return {
    whole: (door, address) => {
      const found = known.get(address);
      if (found !== undefined) return found;
      known.set(address, null);
      void fetchWindowFile(door, address);
      return null;
    },
  };
}
