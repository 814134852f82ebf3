import { describe, expect, it } from 'vitest';
import { plainField } from '../model/defaults';
import { madeDesign, madeSite } from '../../../tests/made/site';
import { joinDesign } from './split';
import { splitDesign } from '../publish/split-design';

describe('a design in two files', () => {
  const [one] = madeDesign().widgets;
  if (one === undefined) throw new Error('Expected a widget.');
  const before = [plainField('name', 'short', 'note.name')];
  const widgets = [one, { ...one, key: 'other', forms: { before, note: one.forms.note, after: before } }];
  const { design } = madeSite({ design: madeDesign({}, { widgets }) });

  it('the door has what the launcher says and decides by, and nothing of the window', () => {
    const { door } = splitDesign(design);
    expect(door.room).toBe(true);
    for (const widget of door.widgets) {
      expect(Object.keys(widget.words).every((key) => key.startsWith('launcher.'))).toBe(true);
      expect(widget.forms).toEqual({ before: [], note: [] });
      expect(widget.invitations).toEqual(design.widgets.find(({ key }) => key === widget.key)?.invitations);
    }
    expect(JSON.stringify(door)).not.toContain('nobodyHome');
  });

  it('door and room are the whole again, and a room that lacks a widget leaves it as it came', () => {
    const { door, room } = splitDesign(design);
    expect(joinDesign(door, room)).toEqual(design);
    expect(joinDesign(door, { v: 1, widgets: {} }).widgets).toEqual(door.widgets);
  });
});
