'use client';

import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import type { Bars } from '../../../core/model/page-bars';
import type { Visitor } from '../../../core/model/circumstances';
import { framedAddress } from '../../../core/pages/framed-address';
import type { PagePicture, PagePictures } from '../../../core/wire/desk';
import type { PageDevice } from '../../../core/model/page-bars';
import { PortError } from '../../frame/api';
import { useSite } from '../../frame/SiteContext';
import { useConnection, usePort } from '../../frame/Connection';
import { useFindings } from '../../findings/FindingsContext';
import { picturesPort } from '../pictures-port';
import { SHARED_WORDS } from '../../wording/screens/shared';

/** What stands behind the widget on the stage. */
export type Backdrop =
  | { readonly kind: 'drawn' }
  | { readonly kind: 'picture'; readonly address: string }
  | { readonly kind: 'site'; readonly address: string };
export type BackdropKind = Backdrop['kind'];

export interface PagePictureActions {
  readonly device: PageDevice;
  readonly known: PagePictures;
  addressOf(picture: PagePicture): string;
  upload(picture: Blob): Promise<void>;
  remove(): Promise<void>;
  mark(bars: Bars): Promise<void>;
}

const NO_BARS: Bars = { upper: 0, lower: 0 };
const NOTHING: PagePictures = { pictures: {}, bars: { desktop: NO_BARS, phone: NO_BARS }, siteAddress: null };
const DRAWN: Backdrop = { kind: 'drawn' };

/** The owner's page behind the stage: its picture for a device where there is one, else a page of our drawing. */
export function usePagePictures(
  asked: BackdropKind | null,
  { device: seenOn, page }: { readonly device: Visitor['device']; readonly page: string },
): readonly [Backdrop, PagePictureActions] {
  const { siteKey } = useSite();
  const { notice } = useConnection();
  const { tellPictures } = useFindings();
  const port = usePort(picturesPort);
  const [known, setKnownHere] = useState<PagePictures>(NOTHING);
  const setKnown = useCallback(
    (next: PagePictures): void => {
      setKnownHere(next);
      tellPictures(next); // findings are of the page, too
    },
    [tellPictures],
  );
  useEffect(() => {
    port.getPagePictures().then(setKnown, notice);
  }, [port, notice, setKnown]);
  const addressOf = useCallback(({ hash }: PagePicture) => `/api/s/${siteKey}/uploads/${hash}`, [siteKey]);
  const device: PageDevice = seenOn === 'phone' ? 'phone' : 'desktop';
  const picture = known.pictures[device];
  const site = known.siteAddress === null ? null : framedAddress(known.siteAddress, page, location.origin);
  const backdrop = ((): Backdrop => {
    if (asked === 'site' && site !== null) return { kind: 'site', address: site };
    return asked === 'drawn' || picture === undefined
      ? DRAWN
      : { kind: 'picture', address: addressOf(picture) };
  })();
  const tell = useCallback(
    (error: unknown): void => {
      notice(error);
      toast.error(error instanceof PortError ? error.sentence : SHARED_WORDS.nothingChanged);
    },
    [notice],
  );
  const sendMark = useMarks(port, setKnown, tell);
  const acts = useMemo(
    (): PagePictureActions => ({
      device,
      known,
      addressOf,
      upload: (sent) => port.setPagePicture(device, sent).then(setKnown, tell),
      remove: () => port.removePagePicture(device).then(setKnown, tell),
      mark: (bars) => {
        setKnownHere((before) => ({ ...before, bars: { ...before.bars, [device]: bars } }));
        return sendMark(device, bars);
      },
    }),
    [port, device, known, addressOf, setKnown, tell, sendMark],
  );
  return [backdrop, acts];
}

interface Marks {
  count: number;
  /** Number of the newest mark of each device. */
  readonly newest: Partial<Record<PageDevice, number>>;
  line: Promise<void>;
}

/** Sends marks of bars one after the other; an answer to an earlier one never undoes a later. */
function useMarks(
  port: ReturnType<typeof picturesPort>,
  onAnswer: (known: PagePictures) => void,
  onFault: (error: unknown) => void,
): (device: PageDevice, bars: Bars) => Promise<void> {
  const marks = useRef<Marks>({ count: 0, newest: {}, line: Promise.resolve() });
  return useCallback(
    (device, bars) => {
      const { current } = marks;
      const mine = ++current.count;
      current.newest[device] = mine;
      const send = async (): Promise<void> => {
        if (current.newest[device] !== mine) return; // a later one of this device says all
        const answer = await port.setPageBars(device, bars);
        if (current.count === mine) onAnswer(answer);
      };
      current.line = current.line.then(send).catch(onFault);
      return current.line;
    },
    [port, onAnswer, onFault],
  );
}
