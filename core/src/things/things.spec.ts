import * as v from 'valibot';
import { LIBRARY, evaluate, findActivity, promptsOf, topsOf } from '../activities/index.js';
import { matchSkills } from '../skills/index.js';
import { Activity, type Shape, type Thing } from '../vocabulary/index.js';
import { isSafe, layReady, smallPart } from './index.js';

const thing = (more: Partial<Thing>): Thing => ({
  id: '00000000-0000-4000-8000-000000000009',
  name: 'cork discs',
  use: 'counter',
  count: 40,
  colors: [{ name: 'blue', count: 40 }],
  alike: true,
  shape: { kind: 'disc', diameterMm: 30, thicknessMm: 5 },
  box: 'box 3',
  consumable: false,
  interests: [],
  hazards: [],
  version: 1,
  ...more,
});

// 16 CFR 1501.4 and 1500.18(a)(17), from memory: what fits the cylinder, and small balls.
describe('small parts', () => {
  const cases: [string, Shape, ReturnType<typeof smallPart>][] = [
    ['ball 16', { kind: 'ball', diameterMm: 16 }, 'small-part'],
    ['ball 40', { kind: 'ball', diameterMm: 40 }, 'small-ball'],
    ['ball 50', { kind: 'ball', diameterMm: 50 }, 'neither'],
    ['disc 25 x 3', { kind: 'disc', diameterMm: 25, thicknessMm: 3 }, 'small-part'],
    ['rod', { kind: 'block', lengthMm: 114, widthMm: 10, heightMm: 2 }, 'neither'],
    ['cube 20', { kind: 'block', lengthMm: 20, widthMm: 20, heightMm: 20 }, 'small-part'],
    ['cube 40', { kind: 'block', lengthMm: 40, widthMm: 40, heightMm: 40 }, 'neither'],
    ['unknown', { kind: 'unknown' }, 'small-part'],
  ];
  for (const [name, shape, verdict] of cases) {
    it(`calls a ${name} ${verdict}`, () => expect(smallPart(shape)).toBe(verdict));
  }

  it('never lets a magnet or a button cell out, whatever its size', () => {
    const big: Shape = { kind: 'ball', diameterMm: 80 };
    expect(isSafe(thing({ shape: big, hazards: ['magnet'] }), { noSmallParts: false })).toBeFalse();
    expect(isSafe(thing({ shape: big }), { noSmallParts: true })).toBeTrue();
    expect(isSafe(thing({}), { noSmallParts: true })).toBeFalse();
  });
});

describe('quantities', () => {
  it('sums over the children where each has an own set', () => {
    expect(evaluate({ sum: 'n' }, { tops: [5, 10, 3] })).toBe(18);
    expect(evaluate({ times: ['k', 'n'] }, { tops: [5, 10] })).toBe(20);
  });

  // Common practice: one to ten laid under cards takes 55; the closed form is own arithmetic.
  it('counts 55 for one to ten, 30 for the even ones', () => {
    const triangle = { half: { times: ['n', { add: ['n', 1] }] } } as const;
    for (let n = 1; n <= 20; n++) {
      let laid = 0;
      for (let card = 1; card <= n; card++) laid += card;
      expect(evaluate(triangle as never, { tops: [n] })).toBe(laid);
    }
  });
});

describe('the library', () => {
  for (const activity of LIBRARY) {
    it(`holds a sound ${activity.id}`, () => {
      expect(v.safeParse(Activity, activity).issues).toBeUndefined();
      expect(matchSkills(activity.skills).length).toBeGreaterThan(0);
      const kinds = activity.capture;
      for (const top of topsOf(activity, kinds)) {
        const prompts = promptsOf(activity, top, kinds, ['speaks']);
        expect(prompts.length).withContext(`to ${top}`).toBeGreaterThan(0);
        expect(prompts.every((one) => one.expected >= 0)).toBeTrue();
      }
      for (const need of activity.needs) {
        expect(evaluate(need.must, { tops: [5, 10] })).toBeGreaterThan(0);
      }
    });
  }
});

describe('laying ready', () => {
  const handfuls = findActivity('handfuls')!;
  const dice = findActivity('dice-touch')!;

  it('takes the most wanted at once, and names what is short with a stand-in', () => {
    const planned = [
      { activity: handfuls, sizes: { tops: [5, 20] } },
      { activity: dice, sizes: { tops: [5, 5] } },
    ];
    const lines = layReady(
      planned,
      [
        thing({ count: 20, colors: [{ name: 'blue', count: 20 }] }),
        thing({ name: 'felt balls', alike: false }),
      ],
      { noSmallParts: false },
    );
    const counters = lines[0]!;
    expect(counters.count).toBe(36);
    expect(counters.short).toBe(16);
    expect(counters.standIn?.name).toBe('felt balls');
    expect(counters.for).toEqual(['A lot and a few', 'Roll and touch']);
  });

  it('prefers what is safe for the youngest who is here', () => {
    const big = thing({
      name: 'felt discs',
      count: 30,
      shape: { kind: 'disc', diameterMm: 60, thicknessMm: 8 },
      colors: [],
    });
    const planned = [{ activity: handfuls, sizes: { tops: [5] } }];
    const line = (noSmallParts: boolean) =>
      layReady(planned, [thing({}), big], { noSmallParts }).find((one) => one.use === 'counter');
    expect(line(true)?.thing?.name).toBe('felt discs');
    expect(line(false)?.thing?.name).toBe('cork discs');
  });
});
