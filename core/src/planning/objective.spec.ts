import { worthOf } from './draft.js';
import type { Card, WeekModel } from './model.js';
import { aCard, aModel, aModelActivity, aModelChild, aWant } from './testing.js';

/** The first plan of the same week is worth more: what an educator would choose (common practice, no source). */
const prefers = (model: WeekModel, first: readonly Card[], other: readonly Card[]): void =>
  expect(worthOf(model, first)).toBeGreaterThan(worthOf(model, other));

const MON = 0;
const WED = 2;
const FRI = 4;

describe('a week is worth more', () => {
  it('with a nearly secure skill on two days than with it once and something new', () => {
    const wren = aModelChild('Wren', { wants: [aWant('nearly'), aWant('open')] });
    const model = aModel(
      [wren],
      ['lids', 'pegs', 'dots'].map((id) => aModelActivity(id, 'table', [wren])),
    );
    prefers(
      model,
      [aCard(0, MON, [0]), aCard(1, WED, [0])],
      [aCard(0, MON, [0]), aCard(1, WED, [[0, 1]])],
    );
  });

  it('with three and two table times for two children than with five for one', () => {
    const wants = ['nearly', 'started', 'started', 'open', 'open'].map((why, w) =>
      aWant(why as 'open', { strand: w }),
    );
    const two = [aModelChild('Wren', { wants }), aModelChild('Juno', { wants })];
    const model = aModel(
      two,
      [0, 1, 2, 3, 4].map((n) => aModelActivity(`game-${n}`, 'table', two)),
    );
    prefers(
      model,
      [0, 1, 2, 3, 4].map((d) => aCard(d, d, [d < 3 ? [0, d] : [1, d - 3]])),
      [0, 1, 2, 3, 4].map((d) => aCard(d, d, [[0, d]])),
    );
  });

  it('with one skill at the table on two days than with three passing mentions', () => {
    const wren = aModelChild('Wren', { wants: [aWant('started')] });
    const model = aModel(
      [wren],
      [
        aModelActivity('lids', 'table', [wren]),
        aModelActivity('pegs', 'table', [wren]),
        ...['stairs', 'snack', 'door'].map((id) => aModelActivity(id, 'anytime', [wren])),
      ],
    );
    prefers(
      model,
      [aCard(0, MON, [0]), aCard(1, WED, [0])],
      [aCard(2, MON, [0]), aCard(3, WED, [0]), aCard(4, FRI, [0])],
    );
  });

  it('with one tub for three than with a tray for each beside it', () => {
    const three = ['Wren', 'Juno', 'Pip'].map((name) =>
      aModelChild(name, { wants: [aWant('open')], tableFits: false }),
    );
    const model = aModel(three, [
      aModelActivity('tub', 'play', three),
      ...['a', 'b', 'c'].map((id) => aModelActivity(`tray-${id}`, 'play', three)),
    ]);
    prefers(
      model,
      [aCard(0, MON, [0, 1, 2])],
      [aCard(0, MON, [0, 1, 2]), aCard(1, WED, [0]), aCard(2, WED, [1]), aCard(3, WED, [2])],
    );
  });

  it('with an activity that is fresh than with that of last week', () => {
    const wren = aModelChild('Wren');
    const model = aModel(
      [wren],
      [
        aModelActivity('fresh', 'table', [wren], { weeksUnused: 5 }),
        aModelActivity('lately', 'table', [wren], { weeksUnused: 1 }),
      ],
    );
    prefers(model, [aCard(0, MON, [0])], [aCard(1, MON, [0])]);
  });

  it('with a skill that has waited for six weeks than with a started one once more', () => {
    const wren = aModelChild('Wren', {
      wants: [aWant('started'), aWant('open', { weeks: 6, must: 0.8, strand: 2 })],
    });
    const model = aModel(
      [wren],
      ['lids', 'pegs'].map((id) => aModelActivity(id, 'table', [wren])),
    );
    prefers(
      model,
      [aCard(0, MON, [0]), aCard(1, WED, [[0, 1]])],
      [aCard(0, MON, [0]), aCard(1, WED, [0])],
    );
  });

  it('with three led groups of at most four than with four mentions', () => {
    const six = ['Wren', 'Juno', 'Pip', 'Tad', 'Una', 'Vik'].map((name) =>
      aModelChild(name, {
        wants: [aWant('started'), aWant('open', { strand: 2 })],
        tableFits: false,
      }),
    );
    const model = aModel(six, [
      ...['tub', 'cups', 'line'].map((id) => aModelActivity(id, 'play', six)),
      ...['stairs', 'snack', 'door', 'song'].map((id) => aModelActivity(id, 'anytime', six)),
    ]);
    prefers(
      model,
      [aCard(0, MON, [0, 1, 2, 3]), aCard(1, WED, [2, 3, 4, 5]), aCard(2, FRI, [0, 1, 4, 5])],
      [aCard(3, MON, [0, 1]), aCard(4, WED, [2, 3]), aCard(5, WED, [4, 5]), aCard(6, FRI, [0, 1])],
    );
  });

  it('with eight cards than with thirteen that repeat them', () => {
    const two = ['Wren', 'Juno'].map((name) =>
      aModelChild(name, { wants: [0, 1, 2, 3].map((s) => aWant('started', { strand: s })) }),
    );
    const model = aModel(
      two,
      [0, 1, 2, 3, 4, 5, 6, 7].map((n) =>
        aModelActivity(`game-${n}`, n < 4 ? 'table' : 'play', two),
      ),
    );
    const eight = [0, 1, 2, 3, 4, 5, 6, 7].map((n) =>
      aCard(n, n % 5, [
        [0, n % 4],
        [1, n % 4],
      ]),
    );
    const again = [0, 1, 2, 3, 4].map((n) =>
      aCard(n, (n + 2) % 5, [
        [0, n % 4],
        [1, n % 4],
      ]),
    );
    prefers(model, eight, [...eight, ...again]);
  });
});
