import { LAMP_OUTLINE, LAMP_PATHS, type LampSign } from '../core/model/lamp';

const SVG = 'http://www.w3.org/2000/svg';

/** The lamp as an SVG element; decorative, as the word always stands with it. */
export function drawLamp(mark: LampSign): SVGSVGElement {
  const [light, over] = LAMP_PATHS[mark];
  const svg = drawMark([
    ['lamp-light', light],
    ['lamp-line', LAMP_OUTLINE + over],
  ]);
  svg.dataset.lamp = mark;
  return svg;
}

/** Paths on 24 × 24, each with its class. */
export function drawMark(paths: readonly (readonly [name: string, d: string])[]): SVGSVGElement {
  const svg = document.createElementNS(SVG, 'svg');
  svg.setAttribute('viewBox', '0 0 24 24');
  for (const [name, d] of paths) {
    const path = document.createElementNS(SVG, 'path');
    path.setAttribute('class', name);
    path.setAttribute('d', d);
    svg.append(path);
  }
  return svg;
}
