'use client';

import { type ClipboardEvent, type DragEvent, type RefObject, useRef, useState } from 'react';
import { PortError } from '../frame/api';
import { useConnection } from '../frame/Connection';
import { PART_WORDS } from '../wording/screens/parts';

export interface Sending {
  /** Of the hidden field through which a file is chosen. */
  readonly files: RefObject<HTMLInputElement | null>;
  readonly isBusy: boolean;
  /** Something is held over the place where it may be dropped. */
  readonly isOver: boolean;
  readonly fault: string | null;
  take(file: Blob | null | undefined): Promise<void>;
  /** Anything else that goes to the server from here; a refusal is told in the same place. */
  run(work: () => Promise<void>): Promise<void>;
  choose(): void;
  /** For the place that takes what is dropped or pasted. */
  readonly place: {
    onPaste(event: ClipboardEvent): void;
    onDragOver(event: DragEvent): void;
    onDragLeave(): void;
    onDrop(event: DragEvent): void;
  };
}

/** What every picture browsers can make of a file may be; the server judges by the content. */
export const PICTURE_KINDS = 'image/png,image/jpeg,image/webp,image/gif,image/avif,image/svg+xml';

/** A picture on its way to the server: dropped, pasted or chosen; a refusal is one sentence, and nothing was changed. */
export function useSending(send: (file: Blob) => Promise<void>): Sending {
  const { notice } = useConnection();
  const files = useRef<HTMLInputElement>(null);
  const [isBusy, setBusy] = useState(false);
  const [isOver, setOver] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const run = async (work: () => Promise<void>): Promise<void> => {
    setBusy(true);
    setFault(null);
    try {
      await work();
    } catch (error) {
      notice(error);
      setFault(error instanceof PortError ? error.sentence : PART_WORDS.notSent);
    }
    if (files.current !== null) files.current.value = ''; // the same file may be chosen again
    setBusy(false);
  };
  const take = async (file: Blob | null | undefined): Promise<void> =>
    file ? run(() => send(file)) : undefined;
  return {
    files,
    isBusy,
    isOver,
    fault,
    take,
    run,
    choose: () => files.current?.click(),
    place: {
      onPaste: (event) => void take(event.clipboardData.files[0]),
      onDragOver: (event) => {
        event.preventDefault();
        setOver(true);
      },
      onDragLeave: () => setOver(false),
      onDrop: (event) => {
        event.preventDefault();
        setOver(false);
        void take(event.dataTransfer.files[0]);
      },
    },
  };
}
