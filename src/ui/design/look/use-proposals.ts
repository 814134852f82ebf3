import { useContext, useEffect, useState } from 'react';
import { brandProposals } from '../../../core/look/proposals';
import type { PictureRef } from '../../../core/model/look';
import type { HexColor } from '../../../core/model/units';
import { PicturesAt } from '../path/WidgetTile';
import { mainColours } from './main-colours';

/** Brand colours that a logo proposes; none while they are looked for, and where there is no logo. */
export function useProposals(logo: PictureRef | null): readonly HexColor[] {
  const base = useContext(PicturesAt);
  const [found, setFound] = useState<{ readonly of: string; readonly colours: readonly HexColor[] } | null>(
    null,
  );
  const name = logo?.twice ?? null;
  useEffect(() => {
    if (name === null) return;
    const stop = new AbortController();
    mainColours(`${base}/${name}.webp`, 10, undefined, stop.signal).then(
      (colours) => setFound({ of: name, colours: brandProposals(colours) }),
      () => undefined,
    );
    return () => stop.abort();
  }, [base, name]);
  return found?.of === name ? found.colours : NONE;
}
const NONE: readonly HexColor[] = [];
