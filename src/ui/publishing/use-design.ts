import { useEffect, useState } from 'react';
import type { Design } from '../../core/model/design';
import { useSite } from '../frame/SiteContext';

/** The design of a version; null while it loads. */
export function useDesign(number: number, load: (number: number) => Promise<Design>): Design | null {
  const { notice } = useSite();
  const [design, setDesign] = useState<Design | null>(null);
  useEffect(() => {
    let isHere = true;
    load(number).then((found) => (isHere ? setDesign(found) : undefined), notice);
    return () => {
      isHere = false;
    };
  }, [number, load, notice]);
  return design;
}
