import { describe, expect, it } from 'vitest';
import { openRequestOf } from './open-request';

const TEAMS = {
  a1: { key: 'night', name: { en: 'Night desk' }, calendar: null },
  b2: { key: 'schools', name: { en: 'School visits' }, calendar: null },
  c3: { key: 'loans', name: { en: 'Loans' }, calendar: null },
};
const openRequest = (text: string) => openRequestOf(text, TEAMS, ['a1', 'b2']);

describe('what a link asks for', () => {
  it('a team, a question, or both', () => {
    expect(openRequest('')).toEqual({ team: null, question: '' });
    expect(openRequest('schools')).toEqual({ team: 'b2', question: '' });
    expect(openRequest(' schools :  May thirty children come?\n')).toEqual({
      team: 'b2',
      question: 'May thirty children come?',
    });
    expect(openRequest('May we come?')).toEqual({ team: null, question: 'May we come?' });
  });

  it('a colon in a question is a colon, and a team that does not answer here is none', () => {
    expect(openRequest('Note: is it open?')).toEqual({ team: null, question: 'Note: is it open?' });
    expect(openRequest('loans: a telescope?')).toEqual({ team: null, question: 'loans: a telescope?' });
    expect(openRequest('constructor: x')).toEqual({ team: null, question: 'constructor: x' });
  });

  it('a question is not endless', () => {
    expect(openRequest('x'.repeat(9000)).question).toHaveLength(500);
  });
});
