import { useEffect } from 'react';
import type { Px } from '../../core/model/units';

/** Keeps toasts so far above the lower edge, for as long as a screen is shown whose lower part they would cover. */
export function useToastsAbove(height: Px): void {
  useEffect(() => {
    const { style } = document.documentElement;
    style.setProperty('--porch-toast-bottom', `${height}px`);
    return () => void style.removeProperty('--porch-toast-bottom');
  }, [height]);
}
