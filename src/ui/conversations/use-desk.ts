'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { gapAfter } from '../../core/wire/gap';
import type { VisitorEntry } from '../../core/wire/talk';
import type { DeskConversation, DeskTalk } from '../../core/wire/desk';
import { PortError } from '../frame/api';
import { useConnection, usePort } from '../frame/Connection';
import type { GoneWhy } from '../frame/port';
import { conversationsPort } from './port';
import { CONVERSATIONS_WORDS } from '../wording/screens/conversations';

export interface Desk {
  readonly list: readonly DeskConversation[] | null;
  readonly hasMore: boolean;
  readonly failed: string | null;
  /** The chosen conversation; null while it loads or where none is chosen. */
  readonly talk: DeskTalk | null;
  /** Why the chosen conversation is not there any more; null: it is. */
  readonly gone: GoneWhy | 'missing' | null;
  loadMore(): void;
  /** Reads what was said before what is shown. */
  readEarlier(): void;
  /** An entry that was acknowledged here. */
  add(entry: VisitorEntry): void;
}

/** Conversations of the site, kept up to date by the stream; after a break both are read anew. */
export function useDesk(chosen: string | null): Desk {
  const { onEvent, notice, isSignedOut } = useConnection();
  const port = usePort(conversationsPort);
  const [list, setList] = useState<readonly DeskConversation[] | null>(null);
  const [hasMore, setHasMore] = useState(false);
  const [failed, setFailed] = useState<string | null>(null);
  const [talk, setTalk] = useState<DeskTalk | null>(null);
  const [gone, setGone] = useState<Desk['gone']>(null);
  /** How often it was heard where a visitor is, and what they see. */
  const nowHeard = useRef(0);

  const loadList = useCallback(async () => {
    try {
      const page = await port.listConversations(null);
      setList((before) => merge(page.conversations, before ?? []));
      setHasMore(page.hasMore);
      setFailed(null);
    } catch (error) {
      notice(error);
      setFailed(error instanceof PortError ? error.sentence : CONVERSATIONS_WORDS.notLoaded);
    }
  }, [port, notice]);

  const loadTalk = useCallback(async () => {
    if (chosen === null) return setTalk(null);
    const heardBefore = nowHeard.current;
    try {
      const read = await port.getConversation(chosen);
      // What was heard of the visitor while it was on its way is newer than what was read.
      const isBehind = nowHeard.current !== heardBefore;
      setTalk((before) => freshest(read, before, isBehind));
    } catch (error) {
      notice(error);
      setTalk((before) => (before?.conversation.id === chosen ? before : null));
      if (error instanceof PortError && error.kind === 'missing') setGone((why) => why ?? 'missing');
    }
  }, [port, chosen, notice]);

  useEffect(() => {
    if (isSignedOut) return;
    void loadList();
  }, [loadList, isSignedOut]);
  useEffect(() => {
    if (isSignedOut) return;
    setTalk((before) => (before?.conversation.id === chosen ? before : null));
    setGone(null);
    void loadTalk();
  }, [loadTalk, isSignedOut, chosen]);
  useEffect(
    () =>
      onEvent((event) => {
        if (event.kind === 'connection' && event.isOpen) {
          void loadList();
          void loadTalk();
        }
        if (event.kind === 'form' && event.conversation.id === chosen) void loadTalk();
        if (event.kind === 'conversation') {
          setList((before) => merge([event.conversation], before ?? []));
          setTalk((before) =>
            before?.conversation.id === event.conversation.id
              ? { ...before, conversation: event.conversation }
              : before,
          );
        }
        if (event.kind === 'visitor-now' && event.id === chosen) {
          nowHeard.current++;
          setTalk((before) =>
            before?.conversation.id === event.id
              ? { ...before, visitorNow: event.now, trail: event.trail }
              : before,
          );
        }
        if (event.kind === 'gone') {
          setList((before) => before?.filter(({ id }) => !event.ids.includes(id)) ?? null);
          if (chosen === null || !event.ids.includes(chosen)) return;
          setTalk(null);
          setGone(event.why);
        }
        if (event.kind !== 'entry') return;
        setList((before) => merge([event.conversation], before ?? []));
        setTalk((before) =>
          before === null || before.conversation.id !== event.conversation.id
            ? before
            : withEntry({ ...before, conversation: event.conversation }, event.entry),
        );
        if (event.entry.author === 'visitor' && event.conversation.id === chosen) void loadTalk(); // its page is told by the conversation only
      }),
    [onEvent, loadList, loadTalk, chosen],
  );
  const missingAfter = talk === null ? null : gapAfter(talk.entries);
  useEffect(() => {
    if (missingAfter !== null) void loadTalk();
  }, [missingAfter, loadTalk]);

  return {
    list,
    hasMore,
    failed,
    talk,
    gone,
    loadMore: () => {
      const last = list?.filter(({ isDone }) => isDone).at(-1);
      if (last === undefined) return;
      port.listConversations(last.lastEntryMs).then((page) => {
        setList((before) => merge(page.conversations, before ?? []));
        setHasMore(page.hasMore);
      }, notice);
    },
    readEarlier: () => {
      const oldest = talk === null ? undefined : saidOf(talk)[0];
      if (talk === null || oldest === undefined) return;
      port
        .getConversation(talk.conversation.id, oldest.id)
        .then((page) => setTalk((before) => (before === null ? before : withEarlier(before, page))), notice);
    },
    add: (entry) => setTalk((before) => (before === null ? before : withEntry(before, entry))),
  };
}

function withEntry(talk: DeskTalk, entry: VisitorEntry): DeskTalk {
  return { ...talk, entries: joined(talk.entries, [entry]) };
}

/** All that was said to one visitor, as far as it is here, in the order in which it was said. */
export function saidOf({ earlier, entries }: DeskTalk): VisitorEntry[] {
  return joined(earlier, entries);
}

/** A conversation with the page before it. */
export function withEarlier(talk: DeskTalk, page: DeskTalk): DeskTalk {
  return {
    ...talk,
    earlier: joined(talk.earlier, page.earlier),
    entries: joined(talk.entries, page.entries),
    pages: { ...page.pages, ...talk.pages },
    hasEarlier: page.hasEarlier === true,
  };
}

/** A conversation as it was read, with what was heard of it while it was on its way, and what of it was read before. */
export function freshest(read: DeskTalk, heard: DeskTalk | null, isNowHeard = false): DeskTalk {
  if (heard?.conversation.id !== read.conversation.id) return read;
  const isBehind = (read.entries.at(-1)?.id ?? 0) < (heard.entries.at(-1)?.id ?? 0);
  const isLonger = (saidOf(heard)[0]?.id ?? Infinity) < (saidOf(read)[0]?.id ?? Infinity);
  return {
    ...read,
    ...(isNowHeard ? { visitorNow: heard.visitorNow, trail: heard.trail } : {}),
    conversation: isBehind ? heard.conversation : read.conversation,
    earlier: joined(heard.earlier, read.earlier),
    entries: joined(heard.entries, read.entries),
    pages: { ...heard.pages, ...read.pages },
    hasEarlier: (isLonger ? heard : read).hasEarlier === true,
  };
}

/** Entries of both, each once, the second's word of it, in the order in which they were said. */
function joined(some: readonly VisitorEntry[], more: readonly VisitorEntry[]): VisitorEntry[] {
  const byId = new Map([...some, ...more].map((entry) => [entry.id, entry]));
  return [...byId.values()].sort((a, b) => a.id - b.id);
}

/** Both lists, each conversation once, the newer word of it: a list may have been read before what was heard meanwhile; newest first. */
export function merge(
  news: readonly DeskConversation[],
  known: readonly DeskConversation[],
): DeskConversation[] {
  const byId = new Map(known.map((one) => [one.id, one]));
  for (const one of news) if ((byId.get(one.id)?.lastEntryMs ?? 0) <= one.lastEntryMs) byId.set(one.id, one);
  return [...byId.values()].sort((a, b) => b.lastEntryMs - a.lastEntryMs);
}
