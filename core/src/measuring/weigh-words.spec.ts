import * as v from 'valibot';
import { GraphPaper } from '../sheets/index.js';
import {
  type WeighedThing,
  endWords,
  looked,
  newRound,
  orderOf,
  orderWords,
  predicted,
  predictionWords,
  roundGraph,
} from './index.js';

const things: WeighedThing[] = [
  { name: 'stone', grams: 620, size: 'small' },
  { name: 'pillow', grams: 180, size: 'large' },
  { name: 'cup', grams: null, size: null },
];
const kofi = { id: 'k', name: 'Kofi' };
const round = (() => {
  let one = newRound(300);
  one = predicted(one, things, 'g', 'k', 'stone', 'lighter');
  one = looked(one, 'stone');
  one = predicted(one, things, 'g', 'k', 'pillow', 'heavier');
  one = predicted(one, things, 'g', 'k', 'pillow', 'lighter');
  return looked(one, 'pillow');
})();

describe('the words of a round of weighing', () => {
  it('say what each guesser predicted, and how often it came out otherwise', () => {
    expect(predictionWords(round, things, kofi, 'g')).toBe(
      'Kofi: stone lighter; pillow heavier, then lighter. 1 surprise.',
    );
    expect(predictionWords(round, things, { id: 'm', name: 'Mirela' }, 'g')).toBe('');
    const before = predicted(newRound(300), things, 'g', 'k', 'cup', 'same');
    expect(predictionWords(before, things, kofi, 'g')).toBe('Kofi: cup the same.');
  });

  it('print as a graph: the mark, the predictions, and what was not weighed', () => {
    const graph = roundGraph(round, things, [kofi], 'g');
    expect(v.parse(GraphPaper, graph)).toEqual(graph);
    expect(graph.title).toBe('Lighter or heavier than 300 g');
    expect(graph.columns).toEqual([
      { name: 'lighter', items: ['pillow, 180 g'] },
      { name: 'the same', items: [] },
      { name: 'heavier', items: ['stone, 620 g'] },
    ]);
    expect(graph.about.at(-1)).toBe('Not weighed yet: cup.');
  });

  it('name both ends and the nearest two, and nothing of one thing', () => {
    const sized = [
      { name: 'a', grams: 10 },
      { name: 'c', grams: 32 },
      { name: 'b', grams: 30 },
    ];
    expect(orderWords(orderOf(sized), 'g')).toEqual([
      'From light to heavy: a, b, c.',
      'The heaviest: c. The lightest: a.',
      'Nearest to each other: b and c, 2 g apart.',
    ]);
    expect(orderWords(orderOf(sized.slice(1)), 'g')).toHaveSize(2);
    expect(orderWords(orderOf(sized.slice(2)), 'g')).toEqual([]);
    expect(endWords('heaviest', 'cup', 'cup')).toBe('Heaviest: cup, as you thought.');
    expect(endWords('lightest', 'cup', 'sock')).toBe('Lightest: you thought cup; it is sock.');
  });
});
