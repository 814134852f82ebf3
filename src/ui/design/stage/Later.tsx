'use client';

import { type ReactNode, useDeferredValue } from 'react';

/** What may follow the stage: until it is drawn, it stays as it was. Nothing that is chosen or typed in: that would jump back first. */
export function Later({ children }: { readonly children: ReactNode }) {
  return useDeferredValue(children);
}
