import { useContext, useEffect, useState } from 'react';
import { brandProposals } from '../../../core/look/proposals';
import type { PictureRef } from '../../../core/model/look';
import type { HexColor } from '../../../core/model/units';
import { PicturesAt } from '../path/WidgetTile';
import { mainColours } from './main-colours';

/** Brand colours that a logo proposes; none where there is no logo, or it has no colour. Null: they are being looked for. */
export function useProposals(logo: PictureRef | null): readonly HexColor[] | null {
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
      () => stop.signal.aborted || setFound({ of: name, colours: NONE }), // one that cannot be read proposes nothing
    );
    return () => stop.abort();
  }, [base, name]);
  if (name === null) return NONE;
  return found?.of === name ? found.colours : null;
}
const NONE: readonly HexColor[] = [];
