import { describe, expect, it } from 'vitest';
import { TRANSITIONS } from '../../../core/model/transition';
import { MOMENTS } from '../../../core/model/moment';
import { MOMENT_WORDS } from '../../wording/moments';
import { CARD_PLACES, TRANSITIONS_AT_REST, columnLeft, neighbourOf, pathMeasures } from '../path/path-layout';
import type { Corner } from '../../../core/model/design';
import { EDITED_FROM, type StagedWindow, stageView } from './stage-geometry';

const MEDIUM = { height: 500, offset: 20 };
const LARGE = { height: 640, offset: 20 };
/** Where the window is on the stage. */
const windowOn = (stage: { width: number; height: number }, corner: Corner, open: StagedWindow) => {
  const view = stageView(stage, corner, 'near', open);
  const top = corner.startsWith('lower')
    ? view.pageHeight - open.offset - open.height
    : corner.startsWith('upper')
      ? open.offset
      : (view.pageHeight - open.height) / 2;
  return { view, top: view.top + top * view.scale, bottom: view.top + (top + open.height) * view.scale };
};

describe('the stage', () => {
  it.each(['lower-right', 'upper-left', 'middle-right'] as const)(
    'near, a window in the %s is whole at every size of stage, and true in size wherever there is room',
    (corner) => {
      for (const height of [400, 484, 516, 700, 1000])
        for (const open of [{ height: 440, offset: 20 }, MEDIUM, LARGE, { height: 500, offset: 220 }]) {
          const { view, top, bottom } = windowOn({ width: 944, height }, corner, open);
          expect(top, `${height}`).toBeGreaterThanOrEqual(-0.001);
          expect(bottom, `${height}`).toBeLessThanOrEqual(height + 0.001);
          if (height >= open.height + open.offset + 12) expect(view.scale).toBe(1);
        }
    },
  );

  it('keeps the distance from the edge as well, as long as a text can then be edited where it stands', () => {
    const { view, bottom } = windowOn({ width: 944, height: 516 }, 'lower-right', MEDIUM);
    expect(view.scale).toBeGreaterThan(0.96);
    expect(516 - bottom).toBeCloseTo(20 * view.scale);
    const lifted = windowOn({ width: 944, height: 516 }, 'lower-right', { height: 500, offset: 220 });
    expect(lifted.view.scale).toBeGreaterThanOrEqual(EDITED_FROM);
    expect(windowOn({ width: 944, height: 516 }, 'lower-right', LARGE).view.scale).toBeLessThan(EDITED_FROM);
  });

  it('near without a window is true size, with the widget’s corner in view', () => {
    const view = stageView({ width: 944, height: 516 }, 'lower-right', 'near', null);
    expect(view.scale).toBe(1);
    expect([view.left + view.pageWidth, view.top + view.pageHeight]).toEqual([944, 516]);
    expect(stageView({ width: 944, height: 516 }, 'upper-left', 'near', null)).toMatchObject({
      left: 0,
      top: 0,
    });
  });

  it('whole fits into the stage and keeps its shape', () => {
    const view = stageView({ width: 944, height: 516 }, 'lower-right', 'whole', null);
    expect(view.pageWidth * view.scale).toBeLessThanOrEqual(944);
    expect(view.pageHeight * view.scale).toBeLessThanOrEqual(516.001);
  });
});

describe('the path', () => {
  it('moment cards never overlap and stay on the screen, from 1024 to 1440 px', () => {
    for (const width of [1024, 1200, 1280, 1440]) {
      const measures = pathMeasures(width);
      for (const lane of ['upper', 'lower'] as const) {
        const lefts = CARD_PLACES.filter((momentCard) => momentCard.lane === lane).map(({ column }) =>
          columnLeft(column, measures),
        );
        lefts.forEach((left, index) =>
          expect((lefts[index + 1] ?? Infinity) - left).toBeGreaterThan(measures.cardWidth),
        );
        expect((lefts.at(-1) ?? 0) + measures.cardWidth, `${width}`).toBeLessThanOrEqual(width);
      }
    }
  });

  it('arrows lead along a lane and to the nearest moment card of the other, and nowhere at the ends', () => {
    expect(neighbourOf('passing-by', 'ArrowRight')).toBe('invited');
    expect(neighbourOf('nobody-home', 'ArrowRight')).toBe('slow-reply');
    expect(neighbourOf('passing-by', 'ArrowLeft')).toBeNull();
    expect(neighbourOf('goodbye', 'ArrowDown')).toBe('note-left');
    expect(neighbourOf('nobody-home', 'ArrowUp')).toBe('at-the-door');
    expect(neighbourOf('nobody-home', 'ArrowDown')).toBeNull();
    expect(neighbourOf('waiting', 'x')).toBeNull();
  });

  it('stands in nine fixed places, and draws at rest only transitions that there are, between moment cards', () => {
    expect(CARD_PLACES.map(({ moment }) => moment).sort()).toEqual([...MOMENTS].sort());
    expect(new Set(CARD_PLACES.map(({ column, lane }) => `${column} ${lane}`)).size).toBe(CARD_PLACES.length);
    for (const id of TRANSITIONS_AT_REST)
      expect(TRANSITIONS.map((transition) => transition.id)).toContain(id);
    for (const { moment } of CARD_PLACES) expect(MOMENT_WORDS[moment].name).not.toBe('');
  });
});

describe('a device in the hand', () => {
  it('stands on the widget’s side at its own width; near at true size, with the end where the widget is', () => {
    const near = stageView({ width: 944, height: 516 }, 'lower-right', 'near', MEDIUM, 'phone');
    expect(near).toMatchObject({ pageWidth: 390, scale: 1, left: 506 });
    expect(stageView({ width: 944, height: 516 }, 'lower-left', 'near', MEDIUM, 'phone').left).toBe(48);
    expect(near.top + near.pageHeight).toBe(516);
    const whole = stageView({ width: 944, height: 516 }, 'lower-right', 'whole', MEDIUM, 'tablet');
    expect(whole.pageHeight * whole.scale).toBeLessThanOrEqual(516.001);
  });
});
