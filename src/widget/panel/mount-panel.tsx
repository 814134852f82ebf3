/** @jsxImportSource preact */
import { render } from 'preact';
import { standOf } from '../../core/decide/stand';
import { whyNow } from '../../core/decide/why-now';
import { isRunning } from '../../core/decide/widget';
import { addSheet } from '../frame';
import { listen } from '../surroundings';
import type { MountedPanel, PanelPicture, PanelPort } from '../port';
import { voiceOf } from '../voice';
import { PANEL_CSS } from './style';
import { talkWith } from './talk';
import { PorchWindow, type WindowActs } from './window';

/** Mounts the window into the frame the launcher built. Called once per page. */
export function mountPanel(port: PanelPort): MountedPanel {
  addSheet(port.surroundings.root, PANEL_CSS);
  let picture: PanelPicture | null = null;
  let draft = '';
  /** *I will wait*: the offer of mail is not made again in this page. */
  let isPatient = false;
  const widgetKey = (): string => picture?.widget.key ?? '';
  const talk = talkWith(port, widgetKey, () => {
    const { refused } = talk.picture();
    if (refused !== null && draft === '') draft = refused.body;
    paint();
  });
  const acts: WindowActs = {
    write: (text) => {
      draft = text;
      talk.takeBackRefused();
      paint();
    },
    send: (body) => {
      draft = '';
      talk.takeBackRefused();
      talk.send(body);
    },
    leaveNote: (body, replies) => {
      draft = '';
      talk.takeBackRefused();
      talk.leaveNote(body, replies);
    },
    end: () => void talk.end().catch(() => undefined),
    askAgain: () => port.setAsksAgain(true),
    close: port.close,
    accept: port.accept,
    decline: port.decline,
    wait: () => {
      isPatient = true;
      paint();
    },
  };
  const paint = (): void => {
    if (picture === null) return;
    const voice = voiceOf(picture);
    render(
      <PorchWindow
        heard={picture}
        voice={voice}
        talk={talk.picture()}
        isOpen={picture.isWindowOpen}
        isModal={port.surroundings.device() === 'phone'}
        draft={draft}
        isPatient={isPatient}
        acts={acts}
      />,
      port.frame.place,
    );
  };
  fitToKeyboard(port.frame.root);
  void talk.begin().catch(() => undefined);
  return {
    stand: standOf,
    why: whyNow,
    paint: (next) => {
      picture = next;
      const { conversation } = talk.picture();
      talk.setListening(next.isWindowOpen || (conversation !== null && isRunning({ conversation })));
      if (next.isWindowOpen) talk.sawAll();
      paint();
    },
    focus: () => {
      const first = port.frame.place.querySelector<HTMLElement>('textarea, .send');
      first?.focus();
    },
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
