import { describe, expect, it } from 'vitest';
import { TRANSITIONS } from '../../../core/model/transition';
import { MOMENTS } from '../../../core/model/moment';
import { MOMENT_WORDS } from '../../wording/moments';
import { CARD_PLACES, TRANSITIONS_AT_REST, columnLeft, neighbourOf, pathMeasures } from '../path/path-layout';
import { AWNING_PX, stageView } from './stage-geometry';

describe('the stage', () => {
  it('near is true size, with the widget’s corner in view', () => {
    const view = stageView({ width: 944, height: 520 }, 'lower-right', 'near', true);
    expect(view.scale).toBe(1);
    expect([view.left + view.pageWidth, view.top + view.pageHeight]).toEqual([944, 520 + AWNING_PX]);
    expect(stageView({ width: 944, height: 520 }, 'upper-left', 'near', true)).toMatchObject({
      left: 0,
      top: AWNING_PX,
    });
  });

  it('a stage too low for the window is a low page: nothing of it hides behind the stage edge', () => {
    const view = stageView({ width: 744, height: 488 }, 'lower-right', 'near', true);
    expect([view.top, view.top + view.pageHeight]).toEqual([AWNING_PX, 488]);
  });

  it('whole fits into the stage and keeps its shape', () => {
    const view = stageView({ width: 944, height: 520 }, 'lower-right', 'whole', false);
    expect(view.pageWidth * view.scale).toBeLessThanOrEqual(944);
    expect(view.pageHeight * view.scale + AWNING_PX).toBeLessThanOrEqual(520.001);
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
    const reachability = stageView({ width: 944, height: 520 }, 'lower-right', 'near', true, 'phone');
    expect(reachability).toMatchObject({ pageWidth: 390, scale: 1, left: 506 });
    expect(stageView({ width: 944, height: 520 }, 'lower-left', 'near', true, 'phone').left).toBe(48);
    expect(reachability.top + reachability.pageHeight).toBe(520);
    const whole = stageView({ width: 944, height: 520 }, 'lower-right', 'whole', true, 'tablet');
    expect(whole.pageHeight * whole.scale + AWNING_PX).toBeLessThanOrEqual(520.001);
  });
});
