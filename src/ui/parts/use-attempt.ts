'use client';

import { useState } from 'react';
import { PortError } from '../frame/api';
import { useConnection } from '../frame/Connection';

export interface Attempt {
  readonly isBusy: boolean;
  /** Why the last one did not go through, in a sentence; null: it did. */
  readonly fault: string | null;
  /** The same by field, where the server named one. */
  readonly errors: Readonly<Record<string, string>>;
  run(behaviour: () => Promise<void>): Promise<void>;
}

/** Something that is asked of the server by a button: one at a time, and what went wrong is said. `otherwise`: where nobody says what. */
export function useAttempt(otherwise: string): Attempt {
  const { notice } = useConnection();
  const [isBusy, setBusy] = useState(false);
  const [{ fault, errors }, setFault] = useState<Pick<Attempt, 'fault' | 'errors'>>(FINE);
  const run = async (behaviour: () => Promise<void>): Promise<void> => {
    setBusy(true);
    setFault(FINE);
    try {
      await behaviour();
    } catch (error) {
      notice(error);
      setFault(
        error instanceof PortError
          ? { fault: error.sentence, errors: error.errors }
          : { fault: otherwise, errors: {} },
      );
    } finally {
      setBusy(false);
    }
  };
  return { isBusy, fault, errors, run };
}

const FINE = { fault: null, errors: {} };
