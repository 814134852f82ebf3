import { describe, expect, it } from 'vitest';
import type { DrawnMoment } from '../../../core/model/moment';
import { laneReasons } from './lane-reasons';

const card = (moment: DrawnMoment, outOfReach: string | null) => ({ moment, outOfReach });

describe('why moments are dimmed', () => {
  it('is not said where none is', () => {
    expect(laneReasons([card('waiting', null)])).toEqual([]);
  });

  it('is said once for a lane: the reason that most of its moments have', () => {
    const cards = [
      card('invited', 'no invitations'),
      card('waiting', 'only during opening hours'),
      card('talking', 'only during opening hours'),
    ];
    expect(laneReasons(cards)).toEqual(['Dimmed: only during opening hours']);
  });

  it('is said of each lane where they differ, and once where they do not', () => {
    const upper = card('waiting', 'only during opening hours');
    expect(laneReasons([upper, card('note-left', 'only while nobody is answering')])).toEqual([
      'Above: only during opening hours',
      'Below: only while nobody is answering',
    ]);
    expect(laneReasons([upper, card('slow-reply', 'only during opening hours')])).toHaveLength(1);
  });
});
