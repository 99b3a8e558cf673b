import type { Card, ModelActivity, ModelChild, WeekModel } from './model.js';
import { RANGES } from './settings.js';
import { aCard, aModel, aModelActivity, aModelChild } from './testing.js';
import { dangersOf, violationsOf, weekdayOf } from './violation-words.js';

const [MON, TUE, WED] = [0, 1, 2];
const wren = aModelChild('Wren');
const juno = aModelChild('Juno', { careful: true });
const pip = aModelChild('Pip');
const three = [wren, juno, pip];

interface Given {
  readonly children?: readonly ModelChild[];
  readonly lids?: Partial<ModelActivity>;
  readonly band?: ModelActivity['band'];
  readonly model?: Partial<WeekModel>;
}
const week = ({
  children = three,
  lids = {},
  band = 'anytime',
  model = {},
}: Given = {}): WeekModel =>
  aModel(
    children,
    [
      aModelActivity('Lids', band, children, lids),
      aModelActivity('Pegs', band, children),
      aModelActivity('Dots', band, children),
      aModelActivity('Kites', band, children),
    ],
    model,
  );
const said = (model: WeekModel, card: Card, others: readonly Card[] = []): string[] =>
  violationsOf(model, card, others).map(({ level, sentence }) => `${level}: ${sentence}`);
const dayOf = (model: WeekModel, d: number, more: Partial<WeekModel['days'][0]>): WeekModel => ({
  ...model,
  days: model.days.map((day, i) => (i === d ? { ...day, ...more } : day)),
});

describe('the rules of a week in words', () => {
  it('say nothing of a card that keeps them all', () => {
    expect(said(week(), aCard(0, MON, [0, 2]))).toEqual([]);
  });

  it('name the day, with its date where that is asked for', () => {
    expect(weekdayOf('2026-03-16')).toBe('Monday');
    expect(weekdayOf('2026-03-22')).toBe('Sunday');
    expect(weekdayOf('2026-03-16', true)).toBe('Monday 16 March');
  });

  it('tell of a closed day, of who is away, and of a card without a child', () => {
    const closed = dayOf(week(), MON, { open: false });
    expect(said(closed, aCard(0, MON, [0]))).toContain('caution: Monday is closed or over.');
    const gone = dayOf(week(), MON, { here: [1] });
    expect(said(gone, aCard(0, MON, [0]))).toEqual(['caution: Wren is away on Monday.']);
    expect(said(gone, aCard(0, MON, [0, 2]))).toEqual([
      'caution: Wren and Pip are away on Monday.',
    ]);
    expect(said(week(), aCard(0, MON, []))).toContain(
      'caution: Nobody is left for Lids on Monday.',
    );
  });

  // Small parts: 16 CFR 1501. That the room counts and not the group is common practice, no source.
  it('keep small parts from who mouths, in the group and in the same room', () => {
    const small = week({ lids: { needsSmall: true, mostSafe: RANGES.map(() => 0) } });
    expect(dangersOf(small, aCard(0, MON, [1]))).toEqual([
      'Lids needs small parts, and the house has nothing larger for it: not with Juno.',
    ]);
    expect(dangersOf(small, aCard(0, MON, [0]))).toEqual([
      'Lids needs small parts, and Juno is in the room at Floor.',
    ]);
    const apart = { ...small, moments: small.moments.map((one) => ({ ...one, shared: false })) };
    expect(dangersOf(apart, aCard(0, MON, [0]))).toEqual([]);
    expect(dangersOf(apart, aCard(0, MON, [0, 1])).length).toBe(1);
    expect(dangersOf(dayOf(small, MON, { here: [0, 2] }), aCard(0, MON, [0]))).toEqual([]);
  });

  it('keep what holds an allergen from all who share the room', () => {
    const flour = week({ lids: { keptFrom: [0, 2] } });
    expect(dangersOf(flour, aCard(0, MON, [1]))).toEqual([
      'Nothing here that can be used for Lids is free of what Wren and Pip have an allergy to.',
    ]);
    const apart = { ...flour, moments: flour.moments.map((one) => ({ ...one, shared: false })) };
    expect(dangersOf(apart, aCard(0, MON, [1]))).toEqual([]);
    expect(dangersOf(apart, aCard(0, MON, [0]))).toEqual([
      'Nothing here that can be used for Lids is free of what Wren has an allergy to.',
    ]);
  });

  it('tell of an activity too often, twice a day or two days running', () => {
    const model = week();
    expect(said(model, aCard(0, MON, [0]), [aCard(0, MON, [2])])).toEqual([
      'limit: Lids is on Monday already.',
    ]);
    expect(said(model, aCard(0, TUE, [0]), [aCard(0, MON, [2])])).toEqual([
      'limit: Lids then comes on Monday and Tuesday, two days running.',
    ]);
    expect(said(model, aCard(0, 4, [0]), [aCard(0, MON, [2]), aCard(0, WED, [2])])).toEqual([
      'limit: Lids then comes 3 times this week.',
    ]);
  });

  it('tell of a day too full, for the adult and for its moment', () => {
    const three = [1, 2, 3].map((a) => aCard(a, MON, [0]));
    const full = week({
      model: {
        limits: { cards: { anytime: 3, play: 3, table: 3 }, dayMinutes: 54, weekMinutes: 225 },
      },
    });
    expect(said(full, aCard(0, MON, [2]), three)).toContain(
      'limit: Monday then has 4 anytime activities; 3 is the most.',
    );
    const led = week({ lids: { minutes: [50], clearUpMinutes: 8 } });
    expect(said(led, aCard(0, MON, [0]))).toContain(
      'limit: Monday then takes 58 of your minutes; 54 is the most.',
    );
    const brief = { ...led, moments: led.moments.map((one) => ({ ...one, minutes: 20 })) };
    expect(said(brief, aCard(0, MON, [0]))).toContain(
      'limit: Floor has 20 minutes, and then holds 50.',
    );
    const other = {
      ...led,
      moments: led.moments.map((one) => ({ ...one, bands: ['table' as const] })),
    };
    expect(said(other, aCard(0, MON, [0]))).toContain(
      'limit: Floor is not for anytime activities.',
    );
  });

  it('tell of what the house does not have, or not for so many', () => {
    expect(said(week({ lids: { missing: ['scale', 'tub'] } }), aCard(0, MON, [0]))).toEqual([
      'limit: The house has no scale and tub for Lids.',
    ]);
    const two = week({ lids: { mostAny: RANGES.map(() => 1), mostSafe: RANGES.map(() => 1) } });
    expect(said(two, aCard(0, MON, [0, 2]))).toEqual([
      'limit: There is enough for 1 at a time in Lids, not for 2.',
    ]);
    const paper = week({
      lids: { uses: [{ item: 0, base: 1, each: 2 }] },
      model: { items: [{ words: 'sheets of paper', stock: 6 }] },
    });
    expect(said(paper, aCard(0, MON, [0, 2]))).toEqual([]);
    expect(said(paper, aCard(0, 4, [0, 2]), [aCard(0, MON, [0])])).toEqual([
      'limit: The week then uses 8 sheets of paper; there are 6.',
    ]);
  });

  it('tell of more children than can be watched, and of ranges far apart at play', () => {
    const lids = { minutes: [5, 8], mostAny: RANGES.map(() => 4), mostSafe: RANGES.map(() => 4) };
    expect(said(week({ lids }), aCard(0, MON, [0, 1, 2]))).toContain(
      'limit: Lids has time to watch 2 closely, not 3.',
    );
    const option = (top: number) => ({
      top,
      range: RANGES.findIndex((one) => one >= top),
      hits: [{ want: 0, part: 1 }],
    });
    const apart = week({
      band: 'play',
      lids: { options: [[option(3)], [option(3)], [option(50)]] },
    });
    expect(said(apart, aCard(0, MON, [0, 2]))).toContain(
      'limit: The ranges in Lids are then far apart.',
    );
    expect(said(apart, aCard(0, MON, [0, 1]))).toEqual([]);
  });

  it('tell of a child in focus too often or too long', () => {
    const children = [aModelChild('Wren', { cardsADay: 1, minutesADay: 6 }), juno, pip];
    const model = week({ children, lids: { minutes: [5] } });
    expect(said(model, aCard(0, MON, [0]), [aCard(1, MON, [0])])).toContain(
      'limit: Wren is then in focus 2 times on Monday.',
    );
    const long = week({ children, lids: { minutes: [7] } });
    expect(said(long, aCard(0, MON, [0]))).toEqual([
      'limit: Wren is then in focus for 7 minutes on Monday; 6 is the most.',
    ]);
    const young = week({ lids: { barred: ['age', null, null] } });
    expect(said(young, aCard(0, MON, [0]))).toEqual(['limit: Wren is young for Lids.']);
  });

  it('tell of the table: once a day, so often a week, no longer than fits, and a day without', () => {
    const children = [
      aModelChild('Wren', { tablesAWeek: 1, tableMinutes: 4, restOn: '2026-03-18' }),
      juno,
      pip,
    ];
    const model = week({ children, band: 'table', lids: { minutes: [5] } });
    expect(said(model, aCard(0, WED, [0]))).toEqual([
      'limit: Wren has a day without table time on Wednesday.',
      'limit: Lids is longer than the 4 minutes of Wren.',
    ]);
    expect(said(model, aCard(0, MON, [0]), [aCard(1, MON, [0])])).toEqual([
      'limit: Wren is at the table on Monday already.',
      'limit: Wren is then at the table 2 times this week.',
      'limit: Lids is longer than the 4 minutes of Wren.',
    ]);
  });
});
