import { LAMP_PATHS, type LampMark } from '../core/model/lamp';

const SVG = 'http://www.w3.org/2000/svg';

/** The lamp as an SVG element; decorative, as the word always stands with it. */
export function drawLamp(mark: LampMark): SVGSVGElement {
  const svg = document.createElementNS(SVG, 'svg');
  svg.setAttribute('viewBox', '0 0 24 24');
  svg.setAttribute('aria-hidden', 'true');
  svg.dataset.lamp = mark;
  for (const [name, d] of [
    ['lamp-light', LAMP_PATHS.glass[mark]],
    ['lamp-line', LAMP_PATHS.outline],
    ['lamp-over', LAMP_PATHS.over[mark]],
  ] as const) {
    if (d === '') continue;
    const path = document.createElementNS(SVG, 'path');
    path.setAttribute('class', name);
    path.setAttribute('d', d);
    svg.append(path);
  }
  return svg;
}
