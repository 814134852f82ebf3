import { useEffect, useRef, useState } from 'react';
import { PortError } from '../../frame/api';
import { knownPages, parsed } from './known-pages';
import { useConnection, usePort } from '../../frame/Connection';
import { picturesPort } from '../pictures-port';
import { LOOK_PANEL_WORDS } from '../../wording/screens/look-panel';

/** Where an element was looked for; addresses are those of the site's pages on which the widget shows. */
export interface ElementOnPages {
  readonly of: number;
  readonly has: readonly string[];
  readonly lacks: readonly string[];
  /** Pages that could not be had. */
  readonly failed: readonly string[];
  readonly isDone: boolean;
  /** Why nothing could be looked at. */
  readonly fault: string | null;
}

const SETTLED_MS = 700;
const AT_ONCE = 4;
const NOTHING: ElementOnPages = { of: 0, has: [], lacks: [], failed: [], isDone: false, fault: null };

/**
 * Looks for an element on the pages of the site that are known, once typing has settled; each page is fetched once.
 * Null: there is nothing to look for, or no address to look at.
 */
export function useElementOnPages(
  selector: string | null,
  siteAddress: string | null,
  shows: (address: string) => boolean,
): ElementOnPages | null {
  const { notice } = useConnection();
  const port = usePort(picturesPort);
  const [found, setFound] = useState<ElementOnPages | null>(null);
  const pages = useRef<Promise<readonly string[]> | null>(null);
  const sources = useRef(new Map<string, Promise<Document>>());
  const showsNow = useRef(shows);
  showsNow.current = shows;
  useEffect(() => {
    setFound(null);
    if (selector === null || siteAddress === null || !URL.canParse(siteAddress)) return undefined;
    let isOver = false;
    const sourceOf = (address: string): Promise<Document> => {
      const known =
        sources.current.get(address) ?? port.getPageSource(address).then(({ text }) => parsed(text));
      sources.current.set(address, known);
      return known;
    };
    const look = async (): Promise<void> => {
      setFound(NOTHING);
      pages.current ??= knownPages(port, siteAddress);
      const all = (await pages.current).filter(showsNow.current);
      let state: ElementOnPages = { ...NOTHING, of: all.length };
      const waiting = [...all];
      const next = async (): Promise<void> => {
        for (let address = waiting.shift(); address !== undefined && !isOver; address = waiting.shift()) {
          const one = address;
          const to = await sourceOf(one).then(
            (page): 'has' | 'lacks' => (page.querySelector(selector) === null ? 'lacks' : 'has'),
            () => {
              sources.current.delete(one); // the next look tries it again
              return 'failed' as const;
            },
          );
          state = { ...state, [to]: [...state[to], one] };
          if (!isOver) setFound(state);
        }
      };
      await Promise.all(Array.from({ length: AT_ONCE }, next));
      if (!isOver) setFound({ ...state, isDone: true });
    };
    const timer = setTimeout(() => {
      look().catch((error: unknown) => {
        notice(error);
        pages.current = null;
        if (!isOver)
          setFound({
            ...NOTHING,
            isDone: true,
            fault: error instanceof PortError ? error.sentence : LOOK_PANEL_WORDS.pagesNotLookedAt,
          });
      });
    }, SETTLED_MS);
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
  }, [selector, siteAddress, port, notice]);
  return found;
}
