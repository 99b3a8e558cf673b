import type { Mood } from '../vocabulary/index.js';
import { type TableSession, tablePace } from './pacing.js';

const session = (day: number, mood: Mood | null, finished = true): TableSession => ({
  day: `2026-03-${String(day).padStart(2, '0')}`,
  mood,
  finished,
});
const pace = (...sessions: TableSession[]) => tablePace(sessions, (day) => day.slice(-2));

// All of it common practice, no source.
describe('minutes at the table', () => {
  it('begin at three and grow with two good sessions in a week, never beyond ten', () => {
    expect(pace().minutes).toBe(3);
    expect(pace(session(2, 'calm')).minutes).toBe(3);
    expect(pace(session(2, 'calm'), session(4, 'great')).minutes).toBe(5);
    const often = Array.from({ length: 12 }, (_, i) => session(2 + 2 * i, 'calm'));
    expect(pace(...often.slice(0, 4)).minutes).toBe(7);
    expect(pace(...often.slice(0, 6)).minutes).toBe(10);
    expect(pace(...often).minutes).toBe(10);
    expect(pace(...often).reason).toBe('10 minutes, which is the most.');
  });

  it('do not grow on sessions a week apart, nor on unfinished ones or ones without a word', () => {
    expect(pace(session(2, 'calm'), session(9, 'calm')).minutes).toBe(3);
    expect(pace(session(2, 'calm'), session(8, 'calm')).minutes).toBe(5);
    expect(pace(session(2, 'calm'), session(3, 'calm', false)).minutes).toBe(3);
    expect(pace(session(2, 'calm'), session(3, null)).minutes).toBe(3);
  });

  it('go a step back after a tense one, not under three, with a day without', () => {
    const grown = [session(2, 'calm'), session(3, 'calm'), session(4, 'calm'), session(5, 'calm')];
    const tense = pace(...grown, session(6, 'tense'));
    expect(tense.minutes).toBe(5);
    expect(tense.restOn).toBe('2026-03-07');
    expect(tense.reason).toBe('5 minutes: tense on 06, so one step shorter, and a day without.');
    expect(pace(session(2, 'tense')).minutes).toBe(3);
    // A good one before a tense one no longer counts towards the next step.
    expect(pace(session(2, 'calm'), session(3, 'tense'), session(4, 'calm')).minutes).toBe(3);
  });

  it('stay after a tired one, which is offered earlier next time', () => {
    const tired = pace(session(2, 'calm'), session(3, 'calm'), session(4, 'tired'));
    expect(tired.minutes).toBe(5);
    expect(tired.earlier).toBeTrue();
    expect(tired.restOn).toBeNull();
    expect(pace(session(4, 'tired'), session(5, 'calm')).earlier).toBeFalse();
  });
});
