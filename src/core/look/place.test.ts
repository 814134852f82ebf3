import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CORNERS, type Place } from '../model/design';
import { defaultPlace } from '../model/defaults';
import { SETTINGS, settingFault } from '../model/settings';
import { type PlaceGround, SNAP_PX, cornerOf, placeAt, toWirePlace } from './place';

const OURS: Place = defaultPlace();
const PAGE: PlaceGround = { width: 1280, height: 800, launcher: { width: 56, height: 56 }, isPhone: false };

describe('the place of the launcher', () => {
  it('above a bar at the lower edge: as far from the side, further from below', () => {
    const at = { x: 1280 - 56 - 22, y: 800 - 56 - 96 };
    expect(placeAt(OURS, at, PAGE, true)).toEqual({ ...OURS, lift: 76 });
    expect(placeAt(OURS, at, PAGE, false)).toEqual({ ...OURS, offset: 22, lift: 74 });
  });

  it('along the lower edge it stays low: further from the side than from below', () => {
    expect(placeAt(OURS, { x: 1000, y: 800 - 56 - 20 }, PAGE, false)).toEqual({
      ...OURS,
      offset: 224,
      lift: -204,
    });
  });

  it('over the middle it stands in the other corner; on phones it is their offset that changes', () => {
    expect(placeAt(OURS, { x: 12, y: 10 }, PAGE, true)).toEqual({ ...OURS, corner: 'upper-left' });
    const phone = { ...PAGE, width: 390, height: 844, isPhone: true };
    expect(placeAt(OURS, { x: 300, y: 756 }, phone, false)).toEqual({
      ...OURS,
      phoneOffset: 34,
      phoneLift: -2,
    });
  });

  it('dragged into another corner on a phone it stands there on phones alone, until that is the corner of all screens again', () => {
    const phone = { ...PAGE, width: 390, height: 844, isPhone: true };
    const left = placeAt(OURS, { x: 16, y: 772 }, phone, true);
    expect(left).toEqual({ ...OURS, phoneCorner: 'lower-left' });
    expect([cornerOf(left, phone), cornerOf(left, PAGE)]).toEqual([
      { x: 16, y: 772 },
      { x: 1204, y: 724 },
    ]);
    expect(toWirePlace(left).place).toMatchObject({ corner: 'lower-right', phoneCorner: 'lower-left' });
    expect(toWirePlace(OURS).place).not.toHaveProperty('phoneCorner');
    expect(placeAt(left, { x: 1204, y: 20 }, PAGE, true)).toEqual({ ...left, corner: 'upper-right' });
    expect(placeAt(left, { x: 318, y: 772 }, phone, true)).toEqual(OURS);
  });

  it('nearly in the middle of an edge it is in the middle, and stays there by key, so much higher or lower', () => {
    const middle = placeAt(OURS, { x: 1200, y: 800 / 2 - 28 + 7 }, PAGE, true);
    expect(middle).toEqual({ ...OURS, corner: 'middle-right' });
    expect(cornerOf(middle, PAGE)).toEqual({ x: 1280 - 56 - 20, y: 372 });
    const higher = placeAt(middle, { x: 1204, y: 364 }, PAGE, false);
    expect(higher).toEqual({ ...OURS, corner: 'middle-right', lift: -8 });
    expect(toWirePlace({ ...higher, offset: 0 }).place).toEqual({
      corner: 'middle-right',
      offset: 0,
      phoneOffset: 16,
      lift: -8,
      phoneLift: 0,
    });
    expect(placeAt(higher, { x: 1204, y: 700 }, PAGE, true).corner).toBe('lower-right');
  });

  it('law: it stands where it was put, as far as the settings allow, and nothing that is stored is out of bounds', () => {
    const point = fc.record({
      x: fc.integer({ min: -50, max: 1300 }),
      y: fc.integer({ min: -50, max: 850 }),
    });
    fc.assert(
      fc.property(point, fc.boolean(), (at, snaps) => {
        const made = placeAt(OURS, at, PAGE, snaps);
        expect([settingFault(made.offset, SETTINGS.offset), settingFault(made.lift, SETTINGS.lift)]).toEqual([
          null,
          null,
        ]);
        const stands = cornerOf(made, PAGE);
        const held = (value: number, most: number): number => Math.min(Math.max(value, 0), most);
        const [x, y] = [held(at.x, 1280 - 56), held(at.y, 800 - 56)];
        const fromSide = Math.min(x, 1280 - 56 - x);
        if (fromSide > 400) return;
        expect(Math.abs(stands.x - x)).toBeLessThanOrEqual(snaps ? SNAP_PX : 0.5);
        expect(Math.abs(stands.y - y)).toBeLessThanOrEqual(snaps ? SNAP_PX : 0.5);
      }),
      { numRuns: 3000, seed: 20261126 },
    );
  });

  it('law: on pages it never hangs over an edge, whatever the offsets', () => {
    const number = fc.integer({ min: 0, max: 400 });
    fc.assert(
      fc.property(
        fc.constantFrom(...CORNERS),
        number,
        number,
        fc.integer({ min: -400, max: 400 }),
        (corner, offset, phoneOffset, lift) => {
          if (corner.startsWith('middle')) return;
          const { place: wire } = toWirePlace({
            ...OURS,
            corner,
            offset,
            phoneOffset,
            lift,
            phoneLift: lift,
          });
          const [onLarge, onPhones] = [wire.lift ?? 0, wire.phoneLift ?? wire.lift ?? 0];
          expect(Math.min(offset + onLarge, phoneOffset + onPhones)).toBeGreaterThanOrEqual(0);
          if (offset + lift >= 0) expect(onLarge).toBe(lift);
          if (phoneOffset + lift >= 0) expect(onPhones).toBe(lift);
        },
      ),
      { numRuns: 1000, seed: 20261126 },
    );
  });
});
