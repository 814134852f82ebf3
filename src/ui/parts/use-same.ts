'use client';

import { useState } from 'react';

/** Plain data that says the same as before stays the same object, so that what shows it is not drawn anew. */
export function useSame<T>(value: T): T {
  const [kept, setKept] = useState({ value, text: '' });
  if (kept.value === value) return value;
  const text = JSON.stringify(value);
  if (text === kept.text) return kept.value;
  setKept({ value, text });
  return value;
}
