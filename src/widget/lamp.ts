import { LAMP_OUTLINE, LAMP_PATHS, type LampMark } from '../core/model/lamp';

const SVG = 'http://www.w3.org/2000/svg';

/** The lamp as an SVG element; decorative, as the word always stands with it. */
export function drawLamp(mark: LampMark): SVGSVGElement {
  const svg = document.createElementNS(SVG, 'svg');
  svg.setAttribute('viewBox', '0 0 24 24');
  svg.dataset.lamp = mark;
  const [light, over] = LAMP_PATHS[mark];
  for (const [name, d] of [
    ['lamp-light', light],
    ['lamp-line', LAMP_OUTLINE + over],
  ] as const) {
    const path = document.createElementNS(SVG, 'path');
    path.setAttribute('class', name);
    path.setAttribute('d', d);
    svg.append(path);
  }
  return svg;
}
