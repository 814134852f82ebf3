'use client';

import { useCallback, useDeferredValue, useEffect, useMemo, useState } from 'react';
import type { Board } from '../../core/boards/board';
import { looseBoards } from '../../core/boards/loose-boards';
import type { Design } from '../../core/model/design';
import type { BoardAside, BoardFacts, Overview, PagePictures } from '../../core/wire/desk';
import { useMeasured } from '../look/use-measured';
import type { SitePort } from './port';

/** The loose boards of the draft as it stands, and those that somebody has put aside. */
export interface Boards {
  /** What has to be mended first. */
  readonly open: readonly Board[];
  readonly aside: readonly { readonly board: Board; readonly aside: BoardAside }[];
  /** How many people answer in each team. */
  readonly peopleOf: BoardFacts['peopleOf'];
}

export interface BoardActs {
  /** Null while they are worked out, and for whoever does not design. */
  readonly boards: Boards | null;
  /** The draft as a screen has it just now: boards follow before it is saved. */
  tellDesign(design: Design): void;
  /** Pictures and bars of the owner's page, as they are since. */
  tellPictures(pictures: PagePictures): void;
  putAside(key: string, reason: string): Promise<void>;
  takeBack(key: string): Promise<void>;
}

/** Works the boards out in the browser, by the same code as anywhere else; whoever only answers is not asked to mend. */
export function useBoards(
  port: SitePort,
  siteKey: string,
  overview: Overview | null,
  isDesigner: boolean,
  notice: (error: unknown) => void,
): BoardActs {
  const [design, setDesign] = useState<Design | null>(null);
  const [facts, setFacts] = useState<BoardFacts | null>(null);
  const [pictures, tellPictures] = useState<PagePictures | null>(null);
  const load = useCallback(async () => setFacts(await port.getBoards()), [port]);
  useEffect(() => {
    if (!isDesigner) return;
    const begin = async (): Promise<void> => {
      const [view, known] = await Promise.all([port.getDraft(), port.getPagePictures(), load()]);
      tellPictures((before) => before ?? known);
      setDesign((before) => before ?? view.design);
    };
    begin().catch(notice);
  }, [port, load, isDesigner, notice]);
  const late = useDeferredValue(design);
  const measured = useMeasured(late, overview, pictures, siteKey);
  const known = overview?.facts ?? null;
  const now = overview?.now ?? null;
  const all = useMemo(
    () =>
      late === null || facts === null || now === null
        ? null
        : looseBoards({ design: late, facts: known, now, measured, ...facts }),
    [late, facts, known, now, measured],
  );
  const boards = useMemo((): Boards | null => {
    if (all === null || facts === null) return null;
    const asideOf = (board: Board): BoardAside | undefined =>
      facts.asides.find(({ key }) => key === board.key);
    return {
      peopleOf: facts.peopleOf,
      open: all.filter((one) => asideOf(one) === undefined),
      aside: all.flatMap((board) => {
        const aside = asideOf(board);
        return aside === undefined ? [] : [{ board, aside }];
      }),
    };
  }, [all, facts]);
  // The same boards stay the same object: whoever shows them is not drawn anew with every letter that is typed.
  const [shown, setShown] = useState(boards);
  if (shown !== boards && JSON.stringify(shown) !== JSON.stringify(boards)) setShown(boards);
  const putAside = useCallback(
    async (key: string, reason: string): Promise<void> => {
      await port.putAside(key, reason);
      await load();
    },
    [port, load],
  );
  const takeBack = useCallback(
    async (key: string): Promise<void> => {
      await port.takeBack(key);
      await load();
    },
    [port, load],
  );
  return { boards: shown, tellDesign: setDesign, tellPictures, putAside, takeBack };
}
