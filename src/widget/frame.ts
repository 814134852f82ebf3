import { lampOf } from '../core/model/lamp';
import type { Heard } from '../core/words/hearer';
import { drawLamp } from './lamp';
import { LAUNCHER_CSS } from './launcher-style';
import type { Surroundings } from './surroundings';
import type { Voice } from './voice';

/** What stands in the shadow root: the root element with the launcher, and the place of the window. */
export interface Frame {
  readonly root: HTMLElement;
  readonly launcher: HTMLButtonElement;
  /** Empty until the panel comes. */
  readonly place: HTMLElement;
  paint(heard: Heard, voice: Voice): void;
}

/** Puts the frame into the shadow root once. Built with DOM calls only: no markup is ever parsed. */
export function buildFrame(surroundings: Surroundings): Frame {
  addSheet(surroundings.root, LAUNCHER_CSS);
  const root = element('div', 'root');
  const launcher = element('button', 'launcher');
  const mark = element('span', 'mark');
  const words = element('span', 'words');
  words.dataset.say = 'launcher.words';
  const count = element('span', 'count');
  launcher.append(mark, words, count);
  const place = element('div', 'place');
  root.append(launcher, place);
  surroundings.root.append(root);
  let painted = '';
  const paint = (heard: Heard, voice: Voice): void => {
    const { decision, circumstances } = heard;
    const { unread, isWindowOpen } = circumstances;
    dress(root, heard, surroundings, surroundings.scheme());
    const lamp = lampOf(decision.state, decision.isStateKnown);
    if (painted !== lamp) mark.replaceChildren(drawLamp((painted = lamp)));
    words.textContent = voice('launcher.words');
    count.textContent = unread > 0 ? String(unread) : '';
    const name = voice('launcher.name');
    launcher.setAttribute('aria-label', unread > 0 ? `${voice('launcher.unread', { count: unread })}. ${name}` : name);
    launcher.setAttribute('aria-expanded', String(isWindowOpen));
    launcher.hidden = isWindowOpen || (decision.isCountOnly && unread === 0);
  };
  return {
    root,
    launcher,
    place,
    paint,
  };
}

function dress(
  root: HTMLElement,
  { site, widget, decision, circumstances }: Heard,
  surroundings: Surroundings,
  scheme: 'day' | 'evening',
): void {
  const { dir, locale } = site.design;
  root.dir = dir;
  root.lang = locale;
  root.dataset.corner = widget.place.corner;
  const device = (root.dataset.device = surroundings.device());
  root.dataset.scheme = scheme;
  const isKnownHere = circumstances.visitor.visit === 'returning'; // they know what the mark is
  root.toggleAttribute('data-words', surroundings.width() >= widget.launcher.wordsFrom && !isKnownHere && !decision.isCountOnly);
  root.toggleAttribute('data-count-only', decision.isCountOnly);
  const values = {
    ...widget.palette[scheme],
    size: `${widget.launcher.size}px`,
    offset: `${device === 'phone' ? widget.place.phoneOffset : widget.place.offset}px`,
    lift: `${widget.place.lift ?? 0}px`,
    radius: `${widget.measures.radius}px`,
    'text-size': `${widget.measures.textSize}px`,
  };
  for (const [name, value] of Object.entries(values)) root.style.setProperty(`--${name}`, value);
}

/** Adopts a constructable sheet, which a policy without `unsafe-inline` allows. */
export function addSheet(root: ShadowRoot, css: string): void {
  const sheet = new CSSStyleSheet();
  sheet.replaceSync(css);
  root.adoptedStyleSheets = [...root.adoptedStyleSheets, sheet];
}

/** The page's own body font ([defaults.md]); generic names come last. */
export function setFont(root: HTMLElement, family: string): void {
  root.style.setProperty('--font', family === '' ? 'system-ui, sans-serif' : `${family}, system-ui, sans-serif`);
}

function element<K extends keyof HTMLElementTagNameMap>(name: K, className: string): HTMLElementTagNameMap[K] {
  const made = document.createElement(name);
  made.className = className;
  return made;
}
