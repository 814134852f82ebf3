import type { KeyboardEvent } from 'react';

const STEPS: Readonly<Record<string, number>> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 };

/** Arrow keys in a group of radio buttons of our own: the next one is chosen; one that asks for more (`data-asks`) only gets the focus. */
export function radioKeys(event: KeyboardEvent<HTMLElement>): void {
  const step = STEPS[event.key];
  if (step === undefined) return;
  const all = [...event.currentTarget.querySelectorAll<HTMLElement>('[role=radio]')];
  const at = all.findIndex((one) => one === document.activeElement);
  const next = all[(at + step + all.length) % all.length];
  if (at < 0 || next === undefined) return;
  event.preventDefault();
  event.stopPropagation();
  next.focus();
  if (next.dataset.asks === undefined) next.click();
}
