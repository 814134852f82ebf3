import { lampOf } from '../core/model/lamp';
import type { WirePicture } from '../core/wire/design-file';
import type { PaintedText } from '../core/decide/reader';
import { drawLamp, drawMark } from './lamp';
import { LAUNCHER_CSS } from './launcher-style';
import type { Surroundings } from './surroundings';
import type { FormatText } from './format-text';

/** What stands in the shadow root: the root element with the launcher, and the place of the window. */
export interface Frame {
  readonly root: HTMLElement;
  readonly launcher: HTMLButtonElement;
  /** Empty until the panel comes. */
  readonly place: HTMLElement;
  paint(painted: PaintedText, formatText: FormatText): void;
  /** Lays the sheet of the launcher's other forms and arrivals over the usual one, below the owner's. */
  addExtras(css: string): void;
}

/** Puts the frame into the shadow root once. Built with DOM calls only: no markup is ever parsed. `base`: where the site's pictures are. */
export function buildFrame(surroundings: Surroundings, base: string): Frame {
  const sheet = addSheet(surroundings.root, LAUNCHER_CSS);
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
  let facePainted = '';
  let dressedIn = '';
  const own = addSheet(surroundings.root, '');
  const paint = (painted: PaintedText, formatText: FormatText): void => {
    const { decision, circumstances } = painted;
    const { unread, isWindowOpen } = circumstances;
    dress(root, painted, surroundings);
    const { css = '' } = painted.widget;
    if (css !== dressedIn) own.replaceSync((dressedIn = css));
    const lamp = lampOf(decision.state, decision.isStateKnown);
    const { launcher: shape, logo } = painted.widget;
    const [usual = '', closed = usual] = shape.icons ?? [];
    const icon =
      shape.form === 'picture-card' && logo ? logo : lamp === 'unlit' || lamp === 'shutter' ? closed : usual;
    const face = lamp + String(icon);
    if (facePainted !== face)
      mark.replaceChildren(
        icon === ''
          ? drawLamp(lamp)
          : typeof icon === 'string'
            ? drawMark([['lamp-line', icon]])
            : drawLogo(base, icon, () => drawLamp(lamp)),
      );
    facePainted = face;
    words.textContent = formatText('launcher.words');
    count.textContent = unread > 0 ? String(unread) : '';
    const name = formatText('launcher.name');
    launcher.setAttribute(
      'aria-label',
      unread > 0 ? `${formatText('launcher.unread', { count: unread })}. ${name}` : name,
    );
    launcher.setAttribute('aria-expanded', String(isWindowOpen));
    const isAway =
      decision.isCountOnly || shape.form === 'own-element' || shape.hiddenOn?.includes(surroundings.kind());
    launcher.hidden = isWindowOpen || (isAway === true && unread === 0); // an answer is never missed
  };
  return {
    root,
    launcher,
    place,
    paint,
    addExtras: (css) => sheet.replaceSync(LAUNCHER_CSS + css),
  };
}

/** A picture of the owner's; where it cannot be had, what stands there otherwise. */
function drawLogo(base: string, [once, twice]: WirePicture, otherwise: () => Element): HTMLImageElement {
  const sign = element('img', 'sign');
  sign.alt = '';
  sign.onerror = () => sign.replaceWith(otherwise());
  sign.srcset = `${base}/${twice}.webp 2x`;
  sign.src = `${base}/${once}.webp`;
  return sign;
}

function dress(
  root: HTMLElement,
  { site, widget, decision, circumstances }: PaintedText,
  surroundings: Surroundings,
): void {
  const { launcher, fonts, place, zIndex = '', window: [width, height] = [] } = widget;
  const isPhone = surroundings.device() === 'phone';
  const scheme = widget.scheme === 'visitor' ? surroundings.scheme() : widget.scheme;
  const { dir, locale } = site.design;
  root.dir = dir;
  root.lang = locale;
  root.dataset.corner = (isPhone && place.phoneCorner) || place.corner;
  root.dataset.device = surroundings.device();
  root.dataset.scheme = scheme;
  root.dataset.form = launcher.form;
  root.dataset.style = widget.style ?? '';
  const isKnownHere = circumstances.visitor.visit === 'returning'; // they know what the mark is
  const hasWords = launcher.form !== 'lamp' || (surroundings.width() >= launcher.wordsFrom && !isKnownHere);
  root.toggleAttribute('data-words', hasWords && !decision.isCountOnly);
  root.toggleAttribute('data-count-only', decision.isCountOnly);
  const values = {
    headerFill: '',
    ...widget.palette[scheme],
    'own-font': fonts?.text ?? '',
    'head-font': fonts?.head ?? '',
    size: `${launcher.size}px`,
    offset: `${isPhone ? place.phoneOffset : place.offset}px`,
    lift: `${(isPhone ? place.phoneLift : null) ?? place.lift ?? 0}px`,
    'window-width': width ? `${width}px` : '',
    'window-height': height ? `${height}px` : '',
    radius: `${widget.measures.radius}px`,
    'text-size': `${widget.measures.textSize}px`,
  };
  for (const [name, value] of Object.entries(values)) root.style.setProperty(`--${name}`, value);
  (surroundings.root.host as HTMLElement).style.setProperty('--layer', String(zIndex), 'important');
}

/** Adopts a constructable sheet, which a policy without `unsafe-inline` allows. */
export function addSheet(root: ShadowRoot, css: string): CSSStyleSheet {
  const sheet = new CSSStyleSheet();
  sheet.replaceSync(css);
  root.adoptedStyleSheets = [...root.adoptedStyleSheets, sheet];
  return sheet;
}

/** The page's own body font; generic names come last. */
export function setFont(root: HTMLElement, family: string): void {
  root.style.setProperty(
    '--font',
    family === '' ? 'system-ui, sans-serif' : `${family}, system-ui, sans-serif`,
  );
}

function element<K extends keyof HTMLElementTagNameMap>(
  name: K,
  className: string,
): HTMLElementTagNameMap[K] {
  const made = document.createElement(name);
  made.className = className;
  return made;
}
