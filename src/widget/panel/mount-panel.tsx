/** @jsxImportSource preact */
import { render } from 'preact';
import { remember } from '../../core/decide/remember';
import { momentResultOf } from '../../core/decide/moment-result';
import { openRequestOf } from '../../core/decide/open-request';
import { whyNow } from '../../core/hours/why-now';
import { isRunning } from '../../core/model/circumstances';
import { askFonts } from './fonts';
import { addSheet } from '../frame';
import { listen } from '../surroundings';
import type { MountedPanel, PanelPicture, PanelPort } from '../port';
import { formatTextFor } from '../format-text';
import { type FormStore, makeFormStore } from './form-state';
import { heldDesign } from './held-design';
import { PANEL_CSS } from './style';
import { type Talk, talkWith } from './talk';
import { type PanelState, visitorActs } from './visitor-acts';
import { PorchWindow } from './window';

/** Mounts the window into the frame the launcher built. Called once per page. */
export function mountPanel(port: PanelPort): MountedPanel {
  addSheet(port.surroundings.root, PANEL_CSS);
  const state: PanelState = {
    picture: null,
    wanted: null,
    wantsFocus: false,
    openRequest: null,
    draft: '',
    isPatient: false,
    hasFailed: false,
  };
  const forms = makeFormStore();
  const design = heldDesign(port, () => {
    if (state.wanted !== null) show(state.wanted);
  });
  const talk = talkWith({
    ...port,
    designName: design.name,
    asksFor: () => state.picture?.circumstances.asksFor ?? null,
    widgetKey: () => state.picture?.widget.key ?? '',
    onChange: () => {
      takeRefused(state, talk, forms);
      paint();
    },
  });
  const focus = (): void => {
    const first = port.frame.place.querySelector<HTMLElement>('textarea, .send');
    state.wantsFocus = first === null;
    first?.focus();
  };
  const follow = pageFollower(port);
  const paint = (): void => {
    if (state.picture === null) return;
    follow();
    const { root } = port.surroundings;
    const before = root.activeElement;
    render(windowOf(state.picture), port.frame.place);
    // What had the focus is no more, as when people come in while a note is being written: one goes on where one writes now.
    if (before !== null && !before.isConnected) focus();
  };
  const acts = visitorActs({ port, state, forms, talk, paint, focus });
  const windowOf = (picture: PanelPicture) => (
    <PorchWindow
      painted={picture}
      formatText={formatTextFor(picture, port.surroundings)}
      talk={talk.picture()}
      view={{
        isOpen: picture.isWindowOpen,
        isModal: port.surroundings.device() === 'phone',
        base: port.base,
        isPatient: state.isPatient,
        hasFailed: state.hasFailed,
      }}
      draft={state.draft}
      forms={{
        before: forms.read('before', picture),
        note: forms.read('note', picture),
        after: forms.read('after', picture),
      }}
      acts={acts}
    />
  );
  const show = (next: PanelPicture): void => {
    const picture = design.take(next);
    if (picture === null) return;
    state.picture = picture;
    if (state.openRequest !== null) takeOpenRequest(state.openRequest);
    askFonts(picture.widget.fonts?.load ?? [], port.base);
    const { conversation } = talk.picture();
    const isListening = next.isWindowOpen || (conversation !== null && isRunning({ conversation }));
    talk.setListening(isListening);
    if (next.isWindowOpen) talk.sawAll();
    paint();
    if (isListening) talk.tellWhereabouts(picture.decision.moment);
    if (state.wantsFocus) focus();
  };
  /** A team that is asked for, and a first question, which stands where it can be changed before it is sent. */
  const takeOpenRequest = (text: string): void => {
    const { picture } = state;
    if (picture === null) return;
    state.openRequest = null;
    const { team, question } = openRequestOf(text, picture.site.facts.teams, picture.widget.teams);
    if (state.draft === '') state.draft = question;
    if (team !== null) port.setAsksFor(team);
    paint();
  };
  fitToKeyboard(port.frame.root);
  void talk.begin().catch(() => undefined); // the stream reads it once there is a line
  return {
    momentResultOf,
    why: whyNow,
    paint: (next) => {
      state.wanted = next;
      show(next);
    },
    focus,
    openRequest: (text) => {
      state.openRequest = text;
      takeOpenRequest(text);
    },
  };
}

/** What the server would not take goes back to the field it came from, and what is wrong to its fields. */
function takeRefused(state: PanelState, talk: Talk, forms: FormStore): void {
  const { refused } = talk.picture();
  if (refused === null) return;
  if (state.draft === '') state.draft = refused.body;
  if (refused.faults && state.picture !== null)
    forms.setFaults(refused.note === null ? 'before' : 'note', state.picture, refused.faults);
}

/** [V9] Whoever has written is followed from page to page; at the level that keeps visits the visit runtime does it. */
function pageFollower({ memory, page, surroundings }: PanelPort): () => void {
  let followed = '';
  return () => {
    const address = page();
    const level = memory.level();
    if (address === followed || level !== 'asked' || memory.read().token === null) return;
    followed = address;
    const at = surroundings.now();
    memory.write(
      remember(memory.read(), { kind: 'page-view', at, address, referrer: null, campaign: null }, level),
    );
  };
}

/** On a phone the window is the visible viewport: the on-screen keyboard never covers the input. */
function fitToKeyboard(root: HTMLElement): void {
  const viewport = globalThis.visualViewport;
  if (!viewport) return;
  const fit = (): void => root.style.setProperty('--visible', `${viewport.height}px`);
  listen(viewport, 'resize', fit);
  fit();
}
