import { useEffect } from 'react';
import type { Px } from '../../core/model/units';

/** Keeps toasts so far above the lower edge, for as long as a screen is shown whose lower part they would cover; on a phone only where that is said. */
export function useToastsAbove(height: Px, onPhone: Px = 16): void {
  useEffect(() => {
    const { style } = document.documentElement;
    const heights = { '--porch-toast-bottom': height, '--porch-toast-bottom-phone': onPhone };
    for (const [name, value] of Object.entries(heights)) style.setProperty(name, `${value}px`);
    return () => Object.keys(heights).forEach((name) => style.removeProperty(name));
  }, [height, onPhone]);
}
