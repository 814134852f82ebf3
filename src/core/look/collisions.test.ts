import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { defaultPlace } from '../model/defaults';
import { CORNERS } from '../model/design';
import { type Box, MEASURED_SCREENS, type MeasuredScreen, clearOf, coveringsOn } from './collisions';
import { cornerFor, cornerOf } from './place';

const NONE = { upper: 0, lower: 0 };
const COOKIES = { desktop: { upper: 0, lower: 64 }, phone: { upper: 0, lower: 120 } };
const [COMPUTER, LARGE, PHONE] = MEASURED_SCREENS as [MeasuredScreen, MeasuredScreen, MeasuredScreen];
const boxAt = (left: number, top: number, width = 56, height = 56): Box => ({
  left,
  top,
  right: left + width,
  bottom: top + height,
});

describe('what lies over a bar', () => {
  it('a launcher 20 px from below lies over a bar of 64 px by 44; 4 px are a shadow, 5 are not', () => {
    const low = boxAt(1204, 800 - 20 - 56);
    expect(coveringsOn(COMPUTER, { launcher: low }, COOKIES)).toEqual([
      { screen: 'computer', part: 'launcher', bar: 'lower', by: 44 },
    ]);
    expect(coveringsOn(COMPUTER, { launcher: boxAt(1204, 800 - 64 - 52) }, COOKIES)).toEqual([]);
    expect(coveringsOn(COMPUTER, { launcher: boxAt(1204, 800 - 64 - 51) }, COOKIES)).toMatchObject([
      { by: 5 },
    ]);
  });

  it('an upper bar meets what hangs from above; a bar of no height meets nothing', () => {
    const bars = { desktop: { upper: 60, lower: 0 }, phone: NONE };
    expect(coveringsOn(COMPUTER, { window: boxAt(900, 20, 360, 500) }, bars)).toMatchObject([
      { part: 'window', bar: 'upper', by: 40 },
    ]);
    expect(coveringsOn(COMPUTER, { launcher: boxAt(1204, 744) }, bars)).toEqual([]);
    expect(coveringsOn(PHONE, { launcher: boxAt(318, 0) }, bars)).toEqual([]);
  });

  it('with large text the bars are those of larger screens, though the widget has little room', () => {
    expect(coveringsOn(LARGE, { launcher: boxAt(560, 400 - 16 - 56) }, COOKIES)).toMatchObject([
      { screen: 'large-text', by: 48 },
    ]);
  });
});

describe('a place clear of the bars', () => {
  it('is lifted on the device that has the bar, and left alone where it is clear', () => {
    const place = defaultPlace();
    expect(clearOf(place, { desktop: NONE, phone: NONE })).toEqual(place);
    expect(clearOf(place, COOKIES)).toEqual({ ...place, lift: 56, phoneLift: 116 });
    expect(clearOf(place, { ...COOKIES, phone: NONE })).toEqual({ ...place, lift: 56, phoneLift: 60 }); // text at 200 %
    expect(clearOf({ ...place, corner: 'upper-right' }, COOKIES)).toEqual({
      ...place,
      corner: 'upper-right',
    });
    expect(clearOf({ ...place, phoneCorner: 'upper-left' }, COOKIES)).toEqual({
      ...place,
      phoneCorner: 'upper-left',
      lift: 56,
    });
    expect(clearOf(clearOf(place, COOKIES), COOKIES)).toEqual(clearOf(place, COOKIES));
  });

  it('law: afterwards no launcher lies over a bar at its own edge, on any screen that is high enough', () => {
    const px = fc.integer({ min: 0, max: 200 });
    const bars = fc.record({ upper: px, lower: px });
    const corners = fc.constantFrom(...CORNERS.filter((corner) => !corner.startsWith('middle')));
    fc.assert(
      fc.property(
        corners,
        fc.option(corners),
        px,
        bars,
        bars,
        (corner, phoneCorner, offset, desktop, phone) => {
          const place = clearOf(
            { ...defaultPlace(), corner, phoneCorner, offset, phoneOffset: offset },
            { desktop, phone },
          );
          for (const screen of [COMPUTER, LARGE, PHONE]) {
            const launcher = { width: 56, height: 56 };
            const isPhone = screen.device === 'phone';
            const edge = cornerFor(place, isPhone).startsWith('lower') ? 'lower' : 'upper';
            const { x, y } = cornerOf(place, {
              width: screen.width,
              height: screen.height,
              launcher,
              isPhone,
            });
            const found = coveringsOn(screen, { launcher: boxAt(x, y) }, { desktop, phone });
            expect(found.filter(({ bar }) => bar === edge)).toEqual([]);
          }
        },
      ),
      { numRuns: 1000, seed: 20261126 },
    );
  });
});
