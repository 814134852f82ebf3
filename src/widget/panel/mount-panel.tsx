/** @jsxImportSource preact */
import { render } from 'preact';
import { remember } from '../../core/decide/remember';
import { momentResultOf } from '../../core/decide/moment-result';
import { openRequestOf } from '../../core/decide/open-request';
import { whyNow } from '../../core/hours/why-now';
import { isRunning } from '../../core/model/circumstances';
import { asksBefore, fieldsOf, toKept, wordsField } from '../../core/forms/fill';
import type { FormPlace } from '../../core/model/form';
import type { Replies } from '../../core/model/form';
import type { DesignFileV1 } from '../../core/wire/design-file';
import { askFonts } from './fonts';
import { addSheet } from '../frame';
import { listen } from '../surroundings';
import type { MountedPanel, PanelPicture, PanelPort } from '../port';
import { formatTextFor } from '../format-text';
import { makeFormStore } from './form-state';
import { toNote } from './note-form';
import { windowFileLoader } from './window-file-loader';
import { PANEL_CSS } from './style';
import { talkWith } from './talk';
import { PorchWindow, type WindowActions } from './window';

/** Mounts the window into the frame the launcher built. Called once per page. */
export function mountPanel(port: PanelPort): MountedPanel {
  addSheet(port.surroundings.root, PANEL_CSS);
  let picture: PanelPicture | null = null;
  /** What was asked for last; painted once the room is there. */
  let wanted: PanelPicture | null = null;
  let wantsFocus = false;
  /** What a link asked for, before there was a picture to read it by. */
  let openRequest: string | null = null;
  const windowFiles = windowFileLoader(port.surroundings, () => {
    if (wanted !== null) show(wanted);
  });
  let draft = '';
  /** *I will wait*: the offer of mail is not made again in this page. */
  let isPatient = false;
  const forms = makeFormStore();
  let hasFailed = false;
  /** [L7] An open window keeps the look and the words it was opened with; rules and states come at once. */
  let held: { readonly design: DesignFileV1; readonly name: string } | null = null;
  const asOpened = (next: PanelPicture): PanelPicture => {
    if (!next.isWindowOpen) held = null;
    else held ??= { design: next.site.design, name: port.designName() };
    const widget = held?.design.widgets.find(({ key }) => key === next.widget.key);
    if (held === null || widget === undefined || widget === next.widget) return next;
    const shown = { ...next, site: { ...next.site, design: held.design }, widget };
    port.frame.paint(shown, formatTextFor(shown));
    return shown;
  };
  /** The picture with the window's own file, where the design came in two; null: it is on its way. */
  const furnished = (next: PanelPicture): PanelPicture | null => {
    const { design } = next.site;
    if (design.room === undefined) return next;
    const whole = windowFiles.whole(design, `${port.base}/${port.designName()}.${design.locale}.room.json`);
    const widget = whole?.widgets.find(({ key }) => key === next.widget.key);
    return whole === null || widget === undefined
      ? null
      : { ...next, site: { ...next.site, design: whole }, widget };
  };
  const talk = talkWith({
    ...port,
    designName: () => held?.name ?? port.designName(),
    asksFor: () => picture?.circumstances.asksFor ?? null,
    widgetKey: () => picture?.widget.key ?? '',
    onChange: () => {
      const { refused } = talk.picture();
      if (refused !== null && draft === '') draft = refused.body;
      if (refused?.faults && picture !== null)
        forms.setFaults(refused.note === null ? 'before' : 'note', picture, refused.faults);
      paint();
    },
  });
  /** The replies of a form that fits; else the focus is on what does not, and null. */
  const given = (place: FormPlace): Replies | null => {
    if (picture === null) return null;
    const replies = forms.check(place, picture, draft, talk.picture().conversation !== null);
    if (replies !== null) visitorStoreFor(place, replies);
    paint();
    if (replies === null) port.frame.place.querySelector<HTMLElement>(FAULTY)?.focus();
    return replies;
  };
  /** [V7] Fields to remember, where the visitor has agreed to that. */
  const visitorStoreFor = (place: FormPlace, replies: Replies): void => {
    if (picture === null) return;
    const kept = toKept(fieldsOf(picture.widget, place), replies);
    port.memory.write(remember(port.memory.read(), { kind: 'replied', replies: kept }, port.memory.level()));
  };
  const isFirstWord = (): boolean => {
    const { conversation, outbox } = talk.picture();
    return picture !== null && asksBefore(picture.widget, conversation !== null || outbox.length > 0);
  };
  const acts: WindowActions = {
    write: (text) => {
      draft = text;
      talk.takeBackRefused();
      paint();
    },
    reply: (place, id, reply) => {
      if (picture !== null) forms.reply(place, picture, id, reply);
      paint();
    },
    send: (body) => {
      const before = isFirstWord() ? given('before') : undefined;
      if (before === null) return false;
      draft = '';
      talk.takeBackRefused();
      const { conversation, outbox } = talk.picture();
      talk.send(
        body,
        before,
        (conversation === null && outbox.length === 0) || conversation?.standing === 'ended',
      );
      return true;
    },
    leaveNote: () => {
      const replies = given('note');
      if (replies === null || picture === null) return;
      const words = wordsField(picture.widget.forms.note);
      const body = words === undefined ? draft : String(replies[words.id] ?? ''); // one that is not shown says nothing
      draft = '';
      talk.takeBackRefused();
      talk.leaveNote(body, toNote(picture.widget.forms.note, replies));
    },
    leaveMail: (mail) => talk.leaveNote('', { mail, name: '' }),
    giveAfter: () => {
      const replies = given('after');
      if (replies === null) return;
      talk.giveAfter(replies).then(
        () => {
          forms.forget('after');
          hasFailed = false;
        },
        () => {
          hasFailed = true;
          paint();
        },
      );
    },
    end: () => void talk.end().catch(() => undefined), // it still runs, and can be ended again
    forget: async () => {
      await talk.forget();
      draft = '';
      port.setAsksAgain(false);
      focus();
    },
    askAgain: () => port.setAsksAgain(true),
    close: port.close,
    accept: port.accept,
    decline: port.decline,
    wait: () => {
      isPatient = true;
      paint();
    },
  };
  /** [V9] Whoever has written is followed from page to page; at the level that keeps visits the visit runtime does it. */
  let stands = '';
  const follow = (): void => {
    const address = port.page();
    const level = port.memory.level();
    if (address === stands || level !== 'asked' || port.memory.read().token === null) return;
    stands = address;
    const came = {
      kind: 'page-view',
      at: port.surroundings.now(),
      address,
      referrer: null,
      campaign: null,
    } as const;
    port.memory.write(remember(port.memory.read(), came, level));
  };
  const paint = (): void => {
    if (picture === null) return;
    follow();
    const formatText = formatTextFor(picture);
    const painted = picture;
    const states = {
      before: forms.read('before', painted),
      note: forms.read('note', painted),
      after: forms.read('after', painted),
    };
    render(
      <PorchWindow
        painted={picture}
        formatText={formatText}
        talk={talk.picture()}
        view={{
          isOpen: picture.isWindowOpen,
          isModal: port.surroundings.device() === 'phone',
          base: port.base,
          isPatient,
          hasFailed,
        }}
        draft={draft}
        forms={states}
        acts={acts}
      />,
      port.frame.place,
    );
  };
  const show = (next: PanelPicture): void => {
    const whole = furnished(next);
    if (whole === null) return;
    picture = asOpened(whole);
    if (openRequest !== null) takeOpenRequest(openRequest);
    askFonts(picture.widget.fonts?.load ?? [], port.base);
    const { conversation } = talk.picture();
    talk.setListening(next.isWindowOpen || (conversation !== null && isRunning({ conversation })));
    if (next.isWindowOpen) talk.sawAll();
    paint();
    if (wantsFocus) focus();
  };
  /** A team that is asked for, and a first question, which stands where it can be changed before it is sent. */
  const takeOpenRequest = (text: string): void => {
    if (picture === null) return;
    openRequest = null;
    const { team, question } = openRequestOf(text, picture.site.facts.teams, picture.widget.teams);
    if (draft === '') draft = question;
    if (team !== null) port.setAsksFor(team);
    paint();
  };
  const focus = (): void => {
    const first = port.frame.place.querySelector<HTMLElement>('textarea, .send');
    wantsFocus = first === null;
    first?.focus();
  };
  fitToKeyboard(port.frame.root);
  void talk.begin().catch(() => undefined); // the stream reads it once there is a line
  return {
    momentResultOf: momentResultOf,
    why: whyNow,
    paint: (next) => {
      wanted = next;
      show(next);
    },
    focus,
    openRequest: (text) => {
      openRequest = text;
      takeOpenRequest(text);
    },
  };
}

/** The first control of a form that does not fit; of a group, its first choice. */
const FAULTY = '.field :is(input, select, textarea)[aria-invalid=true], fieldset[aria-invalid=true] input';

/** On a phone the window is the visible viewport: the on-screen keyboard never covers the input. */
function fitToKeyboard(root: HTMLElement): void {
  const viewport = globalThis.visualViewport;
  if (!viewport) return;
  const fit = (): void => root.style.setProperty('--visible', `${viewport.height}px`);
  listen(viewport, 'resize', fit);
  fit();
}
