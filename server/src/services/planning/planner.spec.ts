import { worthOf } from '@gumo/core/planning';
import { libraryWeek } from '../../testing/library-weeks.js';
import { type Job, type JobNews, type PlanProgress, makePlanner } from './planner.js';

describe('planning in threads', () => {
  const planner = makePlanner();
  afterAll(() => planner.close());
  const { model: small } = libraryWeek({ seed: 5, children: 2, attendance: 'all' });
  const { model: large } = libraryWeek({ seed: 6, children: 8, attendance: 'irregular' });
  const ended = (job: Job, heard: JobNews[] = []): Promise<JobNews> =>
    new Promise((resolve) =>
      job.listen((news) => {
        heard.push(news);
        if (news.what !== 'progress') resolve(news);
      }),
    );

  it('tells of plans that only get better, with the bound the best at last', async () => {
    const heard: JobNews[] = [];
    const last = await ended(planner.begin('a', { model: small, steps: 200 }), heard);
    expect(last.what).toBe('done');
    const news = heard.flatMap((one): PlanProgress[] => ('progress' in one ? [one.progress] : []));
    expect(news[0]!.stage).toBe('first');
    for (const [i, { worth }] of news.entries()) {
      expect(worth).toBeGreaterThanOrEqual(news[i - 1]?.worth ?? -Infinity);
    }
    const { cards, worth, bound, stage } = news.at(-1)!;
    expect(stage).toBe('done');
    expect(bound!).toBeGreaterThanOrEqual(worth - 1e-6);
    expect(worthOf(small, cards)).toBeCloseTo(worth, 8);
  });

  it('makes the same plan twice, also while another process is at work beside it', async () => {
    const work = { model: small, steps: 120 };
    const alone = await planner.run('b', work);
    const other = makePlanner();
    const third = makePlanner();
    const [beside, again] = await Promise.all([other.run('b', work), third.run('b', work)]);
    await Promise.all([other.close(), third.close()]);
    expect(beside).toEqual(alone);
    expect(again).toEqual(alone);
  });

  it('is stopped at once, and begins another plan with the same threads or new ones', async () => {
    for (const model of [large, small]) {
      const stopped = planner.begin('c', { model: large, steps: 1_000_000 });
      expect(() => planner.begin('d', { model, steps: 1 })).toThrowError(/already/);
      const last = ended(stopped);
      stopped.cancel();
      expect((await last).what).toBe('ended');
      expect(planner.current()).toBeNull();
      const { cards, worth } = await planner.run('d', { model, steps: 5 });
      expect(worthOf(model, cards)).toBeCloseTo(worth, 8);
    }
  });
});
