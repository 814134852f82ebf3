import type { Px } from '../../../core/model/units';
import type { TransitionId } from '../../../core/model/transition';
import { CARD_PLACES } from './path-layout';

/** Where the whole path's pictures stand, in px of its ground. */
export interface WholeMeasures {
  readonly pitch: Px;
  readonly picture: { readonly width: Px; readonly height: Px };
  /** Top of the pictures of each lane. */
  readonly top: { readonly upper: Px; readonly lower: Px };
  /** Of the ground; where there is less, it scrolls: nothing is drawn smaller. */
  readonly height: Px;
}

const LARGE = { picture: { width: 112, height: 156 }, lower: 372, height: 676 } as const;
const SMALL = { picture: { width: 88, height: 122 }, lower: 330, height: 620 } as const;
const FIRST_LEFT = 28;
/** Under a picture: its name, and two lines of words. */
const CAPTION = 60;
/** Between two pictures there is room for a word of twelve signs. */
const GAP_LEAST = 80;

/** 208 px from one column to the next at 1280, more on wider screens; below 1200 the pictures are smaller. */
export function wholeMeasures(width: Px, height: Px): WholeMeasures {
  const { picture, lower, height: least } = width < 1200 ? SMALL : LARGE;
  const free = width < 1200 ? 24 : 100;
  const pitch = Math.max(
    picture.width + GAP_LEAST,
    Math.floor((width - FIRST_LEFT - picture.width - free) / 5),
  );
  const spare = Math.max(0, height - least);
  return { pitch, picture, top: { upper: 40, lower: lower + Math.round(spare / 2) }, height: least + spare };
}

export function pictureLeft(column: number, { pitch }: WholeMeasures): Px {
  return FIRST_LEFT + (column - 1) * pitch;
}

/** A transition as it is drawn, and where its words stand: in a box of that width, above or below a height. */
export interface WholeDrawing {
  readonly d: string;
  readonly words: {
    readonly left: Px;
    readonly width: Px;
    readonly y: Px;
    readonly side: 'above' | 'below' | 'on';
    readonly align: 'start' | 'center' | 'end';
  };
}

interface Edges {
  readonly left: Px;
  readonly right: Px;
  readonly centre: Px;
  readonly top: Px;
  readonly foot: Px;
  /** Below the words under it. */
  readonly bottom: Px;
}

/** All transitions at once; the words of none stand on those of another. */
export function wholeDrawings(measures: WholeMeasures): Readonly<Record<TransitionId, WholeDrawing>> {
  const { picture } = measures;
  const at = (moment: string): Edges => {
    const place = CARD_PLACES.find((momentCard) => momentCard.moment === moment);
    if (place === undefined) throw new Error(`Expected a stone for "${moment}".`);
    const left = pictureLeft(place.column, measures);
    const top = measures.top[place.lane];
    const foot = top + picture.height;
    return {
      left,
      right: left + picture.width,
      centre: left + picture.width / 2,
      top,
      foot,
      bottom: foot + CAPTION,
    };
  };
  const [passing, invited, door, waiting, talking, goodbye] = [
    at('passing-by'),
    at('invited'),
    at('at-the-door'),
    at('waiting'),
    at('talking'),
    at('goodbye'),
  ];
  const [home, slow, note] = [at('nobody-home'), at('slow-reply'), at('note-left')];
  const gap = measures.pitch - picture.width;
  const along = (a: Edges, b: Edges, y: Px): WholeDrawing => ({
    d: `M${a.right} ${y}C${a.right + gap / 2} ${y + 5} ${b.left - gap / 2} ${y - 5} ${b.left} ${y}`,
    words: { left: a.right + 4, width: gap - 8, y: y - 6, side: 'above', align: 'center' },
  });
  const down = (a: Edges, b: Edges, x: Px, width: Px = 104): WholeDrawing => ({
    d: `M${x} ${a.bottom}V${b.top}`,
    words: { left: x + 8, width, y: a.bottom + 46, side: 'on', align: 'start' },
  });
  const middle = passing.top + Math.round(picture.height * 0.7);
  const lowMiddle = home.top + Math.round(picture.height * 0.78);
  const under = passing.bottom + 30;
  return {
    'invitation-shown': along(passing, invited, middle),
    'launcher-clicked': arch(
      passing.centre + 24,
      passing.bottom,
      door.left + 24,
      under,
      (passing.right + door.left) / 2,
    ),
    'opened-by-invitation': arch(
      passing.centre + 6,
      passing.bottom,
      door.left + 44,
      under + 26,
      (passing.right + door.left) / 2,
    ),
    'invitation-accepted': along(invited, door, middle),
    // Back again, under the transition that leads there.
    'invitation-declined': {
      d: `M${invited.left} ${middle + 22}C${invited.left - gap / 2} ${middle + 27} ${passing.right + gap / 2} ${middle + 17} ${passing.right} ${middle + 22}`,
      words: { left: passing.right + 4, width: gap - 8, y: middle + 28, side: 'below', align: 'center' },
    },
    'opened-while-unavailable': {
      d: `M${passing.left + 22} ${passing.bottom}C${passing.left + 22} ${lowMiddle - 60} ${passing.right + 60} ${lowMiddle - 24} ${home.left} ${lowMiddle - 24}`,
      words: {
        left: passing.left + 86,
        width: Math.min(230, home.left - passing.left - 204),
        y: lowMiddle - 62,
        side: 'on',
        align: 'start',
      },
    },
    'first-message-sent': along(door, waiting, middle),
    'availability-lost': down(door, home, door.centre + 12),
    'responder-joined': along(waiting, talking, middle),
    'answer-overdue': down(waiting, slow, waiting.centre, 62),
    'availability-lost-while-waiting': {
      d: `M${waiting.left + 24} ${waiting.bottom}C${waiting.left + 16} ${waiting.bottom + 60} ${home.right + 60} ${home.top + 10} ${home.right} ${home.top + 22}`,
      words: { left: home.right + 6, width: gap - 10, y: home.top + 30, side: 'below', align: 'center' },
    },
    'answer-after-all': {
      d: `M${slow.right - 14} ${slow.top}C${slow.right + 10} ${slow.top - 40} ${talking.left + 10} ${talking.bottom + 40} ${talking.left + 26} ${talking.bottom}`,
      words: { left: talking.left - 72, width: 72, y: talking.bottom + 46, side: 'on', align: 'center' },
    },
    'address-left': along(slow, note, lowMiddle + 16),
    'reply-overdue': {
      d: `M${talking.left + 44} ${talking.bottom}C${talking.left + 40} ${talking.bottom + 90} ${slow.right + 50} ${slow.top + 14} ${slow.right} ${slow.top + 26}`,
      words: { left: slow.right + 6, width: gap - 10, y: slow.top + 34, side: 'below', align: 'center' },
    },
    'conversation-ended': along(talking, goodbye, middle),
    'asked-again': overTheTop(goodbye, door, {
      aside: 0,
      above: 30,
      middle: (door.right + waiting.left) / 2,
    }),
    'conversation-resumed': overTheTop(goodbye, waiting, {
      aside: -20,
      above: 12,
      middle: (talking.right + goodbye.left) / 2 - 20,
    }),
    'note-sent': {
      d: `M${home.right} ${home.foot - 12}C${home.right + 60} ${home.bottom + 40} ${note.left - 60} ${home.bottom + 40} ${note.left} ${note.foot - 12}`,
      words: {
        left: slow.left - 30,
        width: picture.width + 60,
        y: home.bottom + 28,
        side: 'below',
        align: 'center',
      },
    },
    'availability-gained': {
      d: `M${home.left + 30} ${home.top}C${home.left + 26} ${home.top - 30} ${door.left + 34} ${door.bottom + 30} ${door.left + 30} ${door.bottom}`,
      words: { left: home.left - 112, width: 106, y: home.top + 6, side: 'below', align: 'end' },
    },
    // Up, and back under Talking.
    'answer-replied-to': {
      ...down(talking, note, talking.centre + 24),
      d: `M${note.centre + 24} ${note.top}V${talking.bottom + 30}C${note.centre + 24} ${talking.bottom + 12} ${note.centre + 10} ${talking.bottom + 12} ${note.centre - 10} ${talking.bottom + 12}H${waiting.right + 20}C${waiting.right} ${waiting.bottom + 12} ${waiting.right - 12} ${waiting.bottom + 8} ${waiting.right - 16} ${waiting.bottom}`,
    },
  };
}

interface Over {
  /** From the middle of the picture it begins at. */
  readonly aside: Px;
  readonly above: Px;
  /** Of its words. */
  readonly middle: Px;
}

/** Over the top of all that lies between: from a picture back to an earlier one, so far above them. */
function overTheTop(from: Edges, to: Edges, { aside, above, middle }: Over): WholeDrawing {
  const y = from.top - above;
  const start = from.centre + aside;
  return {
    d: `M${start} ${from.top}C${start} ${y} ${start - 20} ${y} ${start - 60} ${y}H${to.centre + 60}C${to.centre + 20} ${y} ${to.centre} ${y} ${to.centre} ${to.top}`,
    words: { left: middle - 110, width: 220, y, side: 'on', align: 'center' },
  };
}

function arch(from: Px, top: Px, to: Px, low: Px, middle: Px): WholeDrawing {
  return {
    d: `M${from} ${top}C${from + 4} ${low} ${from + 20} ${low} ${from + 50} ${low}H${to - 50}C${to - 10} ${low} ${to} ${low - 8} ${to} ${top}`,
    words: { left: middle - 100, width: 200, y: low, side: 'on', align: 'center' },
  };
}
