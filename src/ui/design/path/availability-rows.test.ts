import { describe, expect, it } from 'vitest';
import { madeDesign, madeSite } from '../../../../tests/made/site';
import type { Widget } from '../../../core/model/design';
import { foldedTeams, availabilityRows, teamRows } from './availability-rows';

const widgetOf = (change: Partial<Widget>) => madeDesign(change).widgets[0] as Widget;

describe('Who can answer?', () => {
  it('has a row for every state there can be; at rest *nearby* only while it holds', () => {
    const states = (widget: Widget, now: 'in' | 'nearby', areAll = false) =>
      availabilityRows(widget, now, areAll).map(({ state }) => state);
    expect(states(widgetOf({}), 'in')).toEqual(['in', 'busy', 'nobody']);
    expect(states(widgetOf({}), 'nearby')).toEqual(['in', 'nearby', 'busy', 'nobody']);
    expect(states(widgetOf({ calendarId: 'night' }), 'in', true)).toEqual([
      'in',
      'nearby',
      'busy',
      'nobody',
      'closed',
    ]);
  });

  it('tells several teams apart, one that is gone as nobody; a single team is what the state says', () => {
    const site = madeSite({ teams: { night: 'in', schools: 'busy' } });
    const rows = teamRows(widgetOf({ teams: ['night', 'schools', 'gone'] }), site, String);
    expect(rows.map(({ state, leadsTo }) => [state, leadsTo])).toEqual([
      ['in', 'At the door'],
      ['busy', 'in line'],
      ['nobody', 'Nobody home'],
    ]);
    expect(teamRows(widgetOf({ teams: ['night'] }), site, String)).toEqual([]);
    expect(foldedTeams([{ state: 'in' }, { state: 'nobody' }, { state: 'in' }])).toBe('3 teams: 2 answering');
  });
});
