import { describe, expect, it } from 'vitest';
import { PLACES, fitOf } from './find-places';
import { SCREENS } from './screens';

/** What the search would put first. */
function found(typed: string): string {
  const all = [
    ...SCREENS.map(({ name, alsoKnownAs }) => ({ name, words: alsoKnownAs })),
    ...PLACES.map(({ name, words }) => ({ name, words })),
  ];
  const fits = all
    .map(({ name, words }) => ({ name, fit: fitOf(name, typed, words.split(' ')) }))
    .filter(({ fit }) => fit > 0);
  return fits.sort((a, b) => b.fit - a.fit)[0]?.name ?? '';
}

describe('the search', () => {
  it.each([
    ['pop-up', 'Design'],
    ['offline form', 'Note form, when nobody can answer'],
    ['away message', 'Note form, when nobody can answer'],
    ['working hours', 'Team & hours'],
    ['business hours', 'Team & hours'],
    ['snippet', 'Your snippet'],
    ['webmaster', 'Install'],
    ['inbox', 'Conversations'],
    ['theme', 'Brand colour'],
    ['welcome message', 'Greeting'],
    ['bubble position', 'Corner of the page'],
    ['rehearse', 'Try a visit'],
    ['dashboard', 'Today'],
    ['col', 'Brand colour'],
  ])('finds by the trade’s word “%s” our %s', (typed, place) => {
    expect(found(typed)).toBe(place);
  });

  it('a word that begins nothing finds nothing, and letters in a row are no word', () => {
    expect([found('zebra'), found('thm')]).toEqual(['', '']);
    expect(fitOf('Team & hours', 'theme')).toBe(0);
  });

  it('a name goes before what a place is also known by', () => {
    expect(fitOf('Design', 'des')).toBeGreaterThan(fitOf('Greeting', 'des', ['description']));
  });
});
