import { describe, expect, it } from 'vitest';
import { EVENING, madeSite } from '../../../tests/made/site';
import { assumedVisitor, NOT_ASSUMED } from '../rehearse/assumptions';
import { decide } from './decide';
import { readerOf } from './reader';

const VISITOR = { page: '/', at: null, visit: 'first', device: 'desktop', locale: 'pt', who: null } as const;

describe('whoever reads', () => {
  const placeIn = (facts: object, change: object = {}): string => {
    const made = madeSite({});
    const site = { ...made, facts: { ...made.facts, ...facts }, design: { ...made.design, locale: 'pt' } };
    const circumstances = assumedVisitor({ ...VISITOR, ...NOT_ASSUMED }, EVENING);
    const [widget] = site.design.widgets;
    if (widget === undefined) throw new Error('Expected a widget.');
    return readerOf(
      { site, widget: { ...widget, ...change }, decision: decide(site, circumstances), circumstances },
      () => 0,
    ).place;
  };

  it('[T8] hears of the site’s place as it is called in their language, else of the zone’s city', () => {
    expect(placeIn({ places: { en: 'the Azores', pt: 'Açores' } })).toBe('Açores');
    expect(placeIn({ places: { en: 'the Azores' } })).toBe('Azores');
    expect(placeIn({ zone: 'America/Argentina/Buenos_Aires' })).toBe('Buenos Aires');
    expect(placeIn({ zone: undefined })).toBe('UTC');
  });

  it('[T8] a widget whose hours are kept in another zone goes by that zone’s city', () => {
    const lisbon = {
      zone: 'Europe/Lisbon',
      week: [],
      seasons: [],
      exceptions: [],
      closings: [],
      closedDays: [],
    };
    const facts = { places: { pt: 'Açores' }, calendars: { mainland: lisbon } };
    expect(placeIn(facts, { calendar: 'mainland' })).toBe('Lisbon');
    expect(placeIn(facts, { calendar: null })).toBe('Açores');
  });
});
