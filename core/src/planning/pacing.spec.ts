import type { Mood } from '../vocabulary/index.js';
import { type TableSitting, tablePace } from './pacing.js';

const sitting = (day: number, mood: Mood | null, finished = true): TableSitting => ({
  day: `2026-03-${String(day).padStart(2, '0')}`,
  mood,
  finished,
});
const pace = (...sittings: TableSitting[]) => tablePace(sittings, (day) => day.slice(-2));

// All of it common practice, no source.
describe('minutes at the table', () => {
  it('begin at three and grow with two good sittings in a week, never beyond ten', () => {
    expect(pace().minutes).toBe(3);
    expect(pace(sitting(2, 'calm')).minutes).toBe(3);
    expect(pace(sitting(2, 'calm'), sitting(4, 'great')).minutes).toBe(5);
    const often = Array.from({ length: 12 }, (_, i) => sitting(2 + 2 * i, 'calm'));
    expect(pace(...often.slice(0, 4)).minutes).toBe(7);
    expect(pace(...often.slice(0, 6)).minutes).toBe(10);
    expect(pace(...often).minutes).toBe(10);
    expect(pace(...often).reason).toBe('10 minutes, which is the most.');
  });

  it('do not grow on sittings a week apart, nor on unfinished ones or ones without a word', () => {
    expect(pace(sitting(2, 'calm'), sitting(9, 'calm')).minutes).toBe(3);
    expect(pace(sitting(2, 'calm'), sitting(8, 'calm')).minutes).toBe(5);
    expect(pace(sitting(2, 'calm'), sitting(3, 'calm', false)).minutes).toBe(3);
    expect(pace(sitting(2, 'calm'), sitting(3, null)).minutes).toBe(3);
  });

  it('go a step back after a tense one, not under three, with a day without', () => {
    const grown = [sitting(2, 'calm'), sitting(3, 'calm'), sitting(4, 'calm'), sitting(5, 'calm')];
    const tense = pace(...grown, sitting(6, 'tense'));
    expect(tense.minutes).toBe(5);
    expect(tense.restOn).toBe('2026-03-07');
    expect(tense.reason).toBe('5 minutes: tense on 06, so one step back, and a day without.');
    expect(pace(sitting(2, 'tense')).minutes).toBe(3);
    // A good one before a tense one no longer counts towards the next step.
    expect(pace(sitting(2, 'calm'), sitting(3, 'tense'), sitting(4, 'calm')).minutes).toBe(3);
  });

  it('stay after a tired one, which is offered earlier next time', () => {
    const tired = pace(sitting(2, 'calm'), sitting(3, 'calm'), sitting(4, 'tired'));
    expect(tired.minutes).toBe(5);
    expect(tired.earlier).toBeTrue();
    expect(tired.restOn).toBeNull();
    expect(pace(sitting(4, 'tired'), sitting(5, 'calm')).earlier).toBeFalse();
  });
});
