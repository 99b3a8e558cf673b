import * as v from 'valibot';
import { dominoCount, dominoPips, dominoSet, trackLengthMm } from '../numbers/index.js';
import { SKILLS, findSkill, matchSkills } from '../skills/index.js';
import { Activity } from '../vocabulary/index.js';
import { LIBRARY, findActivity } from './library.js';
import { activitiesFor } from './next-step-words.js';
import { evaluate, explain } from './quantity.js';

/** Ids are stored with sessions and plans: none may change or go missing. */
const IDS =
  `song-count count-together stairs waiting fingers tidy-count numbers-about in-pairs snack-share
  next-number puppet-slip both-sides-spot handfuls walk-tally hop-track card-hunt turn-over
  land-in-cup row-of-cups shape-string sort-basket columns-chart mirror-table mirror-hinge two-sided
  fold-cut divide-weigh balance long-line pour-cups jar-range press-count dough-digits road-digits
  numbered-snails pattern-tray bingo three-line hoop-hop parcel-share wheels-petals story-props
  break-halves small-change dot-touch sticker-cards clip-cards show-say dot-plates pair-cards
  build-frame frame-look two-plates in-the-sack hidden-part shaken-tray bead-string paper-hands
  peg-rail dot-pairs tiles-more tiles-add make-tile sign-sticks numeral-search adder-box two-towers
  make-ten two-frames one-fewer-bag one-more-line counters-under tens-build rows-groups step-strips
  hundred-fill match-look copy-next forms-wall name-frame layouts guess-line dice-touch between
  doubles number-words step-ring repeat-add lines-first digit-write`.split(/\s+/);

describe('the library', () => {
  it('holds every activity once, as the vocabulary wants it', () => {
    expect(LIBRARY.map((one) => one.id).sort()).toEqual([...IDS].sort());
    for (const activity of LIBRARY) {
      const found = v.safeParse(Activity, activity);
      expect(found.issues?.map((issue) => issue.message) ?? [])
        .withContext(activity.id)
        .toEqual([]);
    }
  });

  it('gives each five to nine steps, a skill, a kind of record, what is easier and harder', () => {
    for (const one of LIBRARY) {
      expect(one.steps.length).withContext(one.id).toBeGreaterThanOrEqual(5);
      expect(matchSkills(one.skills).length).withContext(one.id).toBeGreaterThan(0);
      const unknown = one.skills.filter((id) => !id.endsWith('*') && !findSkill(id));
      expect(unknown).withContext(one.id).toEqual([]);
      expect([one.easier, one.harder, one.watchFor].every((text) => text.length > 5))
        .withContext(one.id)
        .toBeTrue();
      if (one.otherwise !== null) expect(findActivity(one.otherwise)).toBeDefined();
    }
  });

  it('serves every skill of the map, and all but those of one thing with two activities', () => {
    /** A scale, poured water, a mixed basket twice, folded paper: one activity each is there for them. */
    const ONE = ['holds-more', 'divide-weight', 'sort-one', 'sort-other', 'mirror-fold'];
    for (const { id } of SKILLS) {
      expect(activitiesFor(id).length)
        .withContext(id)
        .toBeGreaterThanOrEqual(ONE.includes(id) ? 1 : 2);
    }
  });

  it('works out every quantity for one to eight children to twenty, and never fewer for more', () => {
    for (const { id, needs } of LIBRARY) {
      for (const need of needs) {
        for (let n = 1; n <= 20; n++) {
          let last = 0;
          for (let k = 1; k <= 8; k++) {
            const sizes = { tops: Array.from({ length: k }, () => n) };
            const count = evaluate(need.must, sizes);
            expect(Number.isInteger(count) && count > 0 && count <= 2000)
              .withContext(`${id} ${need.words} n ${n} k ${k}: ${count}`)
              .toBeTrue();
            expect(count).withContext(`${id} ${need.words}`).toBeGreaterThanOrEqual(last);
            last = count;
            if (need.wish !== null) expect(evaluate(need.wish, sizes)).toBeGreaterThan(count);
          }
        }
      }
    }
  });
});

describe('quantities', () => {
  const cards = findActivity('counters-under')!;
  const under = cards.needs.find((need) => need.use === 'counter')!.must;
  const to = (...tops: number[]) => ({ tops });

  it('lay 1 to 10 under cards with 55 counters, evens with 30, odds with 25 (common practice: 55)', () => {
    expect(evaluate(under, to(10))).toBe(55);
    expect(explain(under, to(10))).toBe('1 + 2 + … + 10 = 55');
    expect(explain({ upTo: 'n', from: 2, step: 2 }, to(10))).toBe('2 + 4 + … + 10 = 30');
    expect(evaluate({ upTo: 'n', step: 2 }, to(10))).toBe(25);
    for (let n = 1; n <= 30; n++) expect(evaluate(under, to(n))).toBe((n * (n + 1)) / 2);
  });

  it('count tiles and pips of domino sets as a count of all pairs does (own arithmetic)', () => {
    const tiles = findActivity('tiles-add')!.needs.find((need) => need.use === 'tile')!.must;
    for (const [highest, count, pips] of [
      [6, 28, 168],
      [9, 55, 495],
      [12, 91, 1092],
    ] as const) {
      let [pairs, dots] = [0, 0];
      for (let a = 0; a <= highest; a++) {
        for (let b = a; b <= highest; b++) {
          pairs += 1;
          dots += a + b;
        }
      }
      expect([pairs, dots]).toEqual([count, pips]);
      expect(evaluate(tiles, { tops: [5], pips: highest })).toBe(count);
      expect([dominoCount(highest), dominoPips(highest)]).toEqual([count, pips]);
      const set = dominoSet(highest);
      expect(set.length).toBe(count);
      expect(set.reduce((sum, [a, b]) => sum + a + b, 0)).toBe(pips);
    }
  });

  it('lay a hopping track of ten at 35 cm a step over 3.85 m, start and finish with it', () => {
    expect(trackLengthMm(10, 350)).toBe(3850);
  });

  it('are told as a sum that can be followed', () => {
    expect(explain({ sum: 'n' }, to(5, 10))).toBe('5 + 10 = 15');
    expect(explain({ sum: 'n' }, to(10, 10))).toBe('2 × 10 = 20');
    expect(explain({ times: [10, 'k'] }, to(5, 5, 5))).toBe('10 × 3 = 30');
    expect(explain({ times: ['g', 's'] }, { tops: [5], groups: 4, size: 2 })).toBe('4 × 2 = 8');
    expect(explain(7, to(5))).toBe('7');
  });
});
