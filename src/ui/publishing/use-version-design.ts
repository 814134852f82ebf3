import { useEffect, useState } from 'react';
import type { Design } from '../../core/model/design';
import { useConnection } from '../frame/Connection';

/** The design of a version; null while it loads. */
export function useVersionDesign(
  number: number,
  load: (number: number) => Promise<Design>,
): Design | 'failed' | null {
  const { notice } = useConnection();
  const [design, setDesign] = useState<Design | 'failed' | null>(null);
  useEffect(() => {
    let isHere = true;
    load(number).then(
      (found) => (isHere ? setDesign(found) : undefined),
      (error: unknown) => {
        notice(error);
        if (isHere) setDesign('failed');
      },
    );
    return () => {
      isHere = false;
    };
  }, [number, load, notice]);
  return design;
}
