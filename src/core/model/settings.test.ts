import { describe, expect, it } from 'vitest';
import { madeDesign } from '../../../tests/made/site';
import { MOMENTS } from './moment';
import { SETTINGS, SETTINGS_AT, settingFault, settingValue } from './settings';

const design = madeDesign();
const [widget] = design.widgets;
if (widget === undefined) throw new Error('Expected a widget.');

describe('settings', () => {
  it('each stands where it says, is ours in a new design, and fits its own bounds', () => {
    for (const [id, setting] of Object.entries(SETTINGS)) {
      expect(setting.id).toBe(id);
      expect(settingValue(design, widget, setting), id).toBe(setting.defaultValue);
      expect(settingFault(setting.defaultValue, setting), id).toBeNull();
      expect(Math.abs(setting.least % setting.size), id).toBe(0);
      expect(setting.defaultValue === null ? 0 : setting.defaultValue % setting.size, id).toBe(0);
    }
  });

  it('each belongs somewhere, and every moment is thought of', () => {
    expect(new Set(Object.values(SETTINGS_AT).flat())).toEqual(new Set(Object.keys(SETTINGS)));
    for (const moment of MOMENTS) expect(SETTINGS_AT[moment]).toBeDefined();
  });

  it('bounds belong to what may be set; only some may be off; parts of a second are none', () => {
    const { comfortAfter, slowReplyTalkingAfter } = SETTINGS;
    expect([4, 5, 3600, 3601, 5.5, null].map((value) => settingFault(value, comfortAfter))).toEqual([
      'bounds',
      null,
      null,
      'bounds',
      'whole',
      'off',
    ]);
    expect(settingFault(null, slowReplyTalkingAfter)).toBeNull();
  });
});
