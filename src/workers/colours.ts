import { MmcqQuantizer, extractPalette, validateOptions } from 'colorthief/internals';
import { exactColours, fewColours } from '../core/look/proposals';
import type { ColoursAsked, ColoursFound } from '../core/look/protocol';

const scope = self as unknown as {
  onmessage: ((event: MessageEvent<ColoursAsked>) => void) | null;
  postMessage(found: ColoursFound): void;
};

scope.onmessage = ({ data: { turn, pixels, width, height, most } }) => {
  const few = fewColours(pixels, most);
  if (few !== null) {
    scope.postMessage({ turn, colours: few });
    return;
  }
  const options = validateOptions({ colorCount: most, quality: 1, ignoreWhite: false, colorSpace: 'oklch' });
  const found = extractPalette(pixels, width, height, options, new MmcqQuantizer()) ?? [];
  const colours = found.map((one) => ({ color: one.hex().toLowerCase(), share: one.proportion }));
  scope.postMessage({ turn, colours: exactColours(colours, pixels) });
};
