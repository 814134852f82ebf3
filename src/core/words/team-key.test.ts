import { describe, expect, it } from 'vitest';
import { teamKey } from './team-key';

describe('teams', () => {
  it.each([
    ['School visits', [], 'school-visits'],
    ['School visits', ['school-visits', 'school-visits-2'], 'school-visits-3'],
    ['Étoiles & Planètes', [], 'etoiles-planetes'],
    ['فريق', ['team'], 'team-2'],
  ])('are asked for by links as %s, where %j are there: %s', (name, taken, key) => {
    expect(teamKey(name, taken)).toBe(key);
  });
});
