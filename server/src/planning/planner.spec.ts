import { readFileSync } from 'node:fs';
import { GOOD_ENOUGH, type PlanProgress, gapOf } from '@gumo/core/planning';
import { worthOf } from '../testing/brute-force.js';
import { brokenRules } from '../testing/week-checker.js';
import { inventedWeek } from '../testing/weeks.js';
import { type Job, type JobNews, makePlanner } from './planner.js';

/** How politely the session of this process runs on Linux; empty elsewhere. */
function politeness(): string {
  try {
    return readFileSync('/proc/self/autogroup', 'utf8');
  } catch {
    return '';
  }
}

describe('planning in threads', () => {
  const planner = makePlanner();
  afterAll(() => planner.close());
  const small = inventedWeek({ seed: 5, children: 3, activities: 20 });
  const large = inventedWeek({ seed: 6, children: 10, activities: 70 });
  const ended = (job: Job, heard: JobNews[] = []): Promise<JobNews> =>
    new Promise((resolve) =>
      job.listen((news) => {
        heard.push(news);
        if (news.what !== 'progress') resolve(news);
      }),
    );

  it('tells of plans that only get better and bounds that only get lower, the best at last', async () => {
    const heard: JobNews[] = [];
    const last = await ended(planner.begin('a', { problem: small, seconds: 20 }), heard);
    expect(last.what).toBe('done');
    const news = heard.flatMap((one): PlanProgress[] => ('progress' in one ? [one.progress] : []));
    expect(news[0]!.stage).toBe('first');
    for (const [i, { value, bound }] of news.entries()) {
      const before = news[i - 1];
      expect(value).toBeGreaterThanOrEqual(before?.value ?? 0);
      expect(bound ?? Infinity).toBeLessThanOrEqual(before?.bound ?? Infinity);
    }
    const { cards, value, bound } = news.at(-1)!;
    expect(gapOf(value, bound)!).toBeLessThanOrEqual(GOOD_ENOUGH);
    expect(worthOf(small, cards)).toBeCloseTo(value, 8);
    expect(brokenRules(small, cards)).toEqual([]);
  });

  it('is stopped at once, and begins another plan with the same threads or new ones', async () => {
    for (const problem of [large, small, large]) {
      const stopped = planner.begin('b', { problem: large, seconds: 60 });
      expect(() => planner.begin('c', { problem, seconds: 1 })).toThrowError(/already/);
      const last = ended(stopped);
      stopped.cancel();
      expect((await last).what).toBe('ended');
      expect(planner.current()).toBeNull();
      const { cards, value } = await planner.run('c', { problem, seconds: 0.5 });
      expect(worthOf(problem, cards)).toBeCloseTo(value, 8);
      expect(brokenRules(problem, cards)).toEqual([]);
    }
  });

  it('leaves the session as polite as it was', async () => {
    const before = politeness();
    await planner.run('d', { problem: small, seconds: 1 });
    expect(politeness()).toBe(before);
  });
});
