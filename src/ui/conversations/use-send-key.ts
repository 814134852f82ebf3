'use client';

import { useEffect, useState } from 'react';

/** What sends an answer: Enter, or Enter with Ctrl (with ⌘ on a Mac). */
export const SEND_KEYS = ['enter', 'mod-enter'] as const;
export type SendKey = (typeof SEND_KEYS)[number];

const KEPT_AS = 'sunny-porch:send-key';

/** As it was chosen last in this browser. */
export function useSendKey(): [SendKey, (key: SendKey) => void] {
  const [sendKey, setSendKey] = useState<SendKey>('enter');
  useEffect(() => {
    try {
      const kept = localStorage.getItem(KEPT_AS);
      setSendKey(SEND_KEYS.find((one) => one === kept) ?? 'enter');
    } catch {
      // a browser that keeps nothing: Enter sends
    }
  }, []);
  const choose = (key: SendKey): void => {
    setSendKey(key);
    try {
      localStorage.setItem(KEPT_AS, key);
    } catch {
      // it holds until the page is left
    }
  };
  return [sendKey, choose];
}
