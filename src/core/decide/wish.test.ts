import { describe, expect, it } from 'vitest';
import { wishOf } from './wish';

const TEAMS = {
  a1: { key: 'night', name: { en: 'Night desk' }, calendar: null },
  b2: { key: 'schools', name: { en: 'School visits' }, calendar: null },
  c3: { key: 'loans', name: { en: 'Loans' }, calendar: null },
};
const wish = (text: string) => wishOf(text, TEAMS, ['a1', 'b2']);

describe('what a link asks for', () => {
  it('a team, a question, or both', () => {
    expect(wish('')).toEqual({ team: null, question: '' });
    expect(wish('schools')).toEqual({ team: 'b2', question: '' });
    expect(wish(' schools :  May thirty children come?\n')).toEqual({
      team: 'b2',
      question: 'May thirty children come?',
    });
    expect(wish('May we come?')).toEqual({ team: null, question: 'May we come?' });
  });

  it('a colon in a question is a colon, and a team that does not answer here is none', () => {
    expect(wish('Note: is it open?')).toEqual({ team: null, question: 'Note: is it open?' });
    expect(wish('loans: a telescope?')).toEqual({ team: null, question: 'loans: a telescope?' });
    expect(wish('constructor: x')).toEqual({ team: null, question: 'constructor: x' });
  });

  it('a question is not endless', () => {
    expect(wish('x'.repeat(9000)).question).toHaveLength(500);
  });
});
