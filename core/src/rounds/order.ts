import { numberWord, placeWord, shuffled, hashText } from '../numbers/index.js';
import { cardsScene, placesScene } from '../handling/index.js';
import { SKILLS, findItem, itemByNumber } from '../skills/index.js';
import {
  type Cell,
  type Draft,
  type Game,
  type RoundModule,
  choose,
  isOver,
  lowOf,
  only,
  speaks,
  upTo,
} from './game.js';
import { Word, asksNumber, inARow, plain } from './round-words.js';

/** Cards laid out at once when numerals are put in order. */
const CARDS = 5;

function inOrder(game: Game): Draft | null {
  const cells = SKILLS.filter(({ family, to }) => family === 'order' && to <= Math.max(5, game.top))
    .flatMap((skill) => {
      const numbers = skill.items.map((item) => item.number).sort((a, b) => a - b);
      return upTo(0, Math.ceil(numbers.length / CARDS) - 1).map((i): Cell => {
        const from = Math.min(i * CARDS, Math.max(0, numbers.length - CARDS));
        const row = numbers.slice(from, from + CARDS);
        return {
          skillId: skill.id,
          itemId: `n${row[0]}`,
          key: `order-${row[0]}-${row.at(-1)}`,
          numbers: row,
        };
      });
    })
    .filter(({ skillId, itemId }) => findItem(skillId, itemId));
  const cell = choose(game, game.top <= 3 ? cells.map(toThree) : cells);
  if (!cell) return null;
  const row = [...cell.numbers];
  return {
    key: cell.key,
    say: 'Put the numbers in order. Which comes first?',
    lay: `The cards ${row[0]} to ${row.at(-1)}, muddled.`,
    lying: row,
    right: { kind: 'order', given: shuffled(row, hashText(game.seed + cell.key)), placed: row },
    way: 'shown',
    counts: row.flatMap((n) =>
      findItem(cell.skillId, `n${n}`)
        ? [{ skillId: cell.skillId, itemId: `n${n}`, by: 'place' as const }]
        : [],
    ),
    sentence: plain(`${inARow(row)}.`),
    scene: cardsScene(shuffled(row, hashText(game.seed + cell.key))),
  };
}

const toThree = (cell: Cell): Cell => ({ ...cell, numbers: cell.numbers.filter((n) => n <= 3) });

/** Cards that a row with a gap holds. */
const MOST_IN_ROW = 6;

interface Gap extends Cell {
  readonly gaps: readonly number[];
}

function gapCells(game: Game): Gap[] {
  const low = lowOf(game.top);
  if (game.top > 20) {
    return upTo(Math.max(2, low), game.top - 1).flatMap((n): Gap[] => {
      const item = itemByNumber('name', n);
      return item ? [{ ...item, key: `gap-${n}`, numbers: [n], gaps: [n] }] : [];
    });
  }
  return SKILLS.filter(({ family }) => family === 'gap').flatMap((skill) =>
    skill.items
      .filter((item) => item.number < Math.max(10, game.top))
      .map((item) => {
        const second = item.number + 2 < skill.to ? item.number + 2 : item.number - 2;
        const two = [item.number, second].sort((a, b) => a - b);
        const gaps = item.form === 'gap2' ? two : [item.number];
        // The number after the gap lies there too.
        const numbers = [(gaps.at(-1) ?? 0) + 1];
        return { skillId: skill.id, itemId: item.id, key: `gap-${item.id}`, numbers, gaps };
      }),
  );
}

function gap(game: Game): Draft | null {
  const cell = choose(game, gapCells(game));
  if (!cell) return null;
  const [first = 1] = cell.gaps;
  const from = Math.max(1, Math.min(first - 2, game.top - MOST_IN_ROW + 1));
  const row = upTo(from, Math.min(from + MOST_IN_ROW - 1, Math.max(game.top, first + 1)));
  const open = row.map((n) => (cell.gaps.includes(n) ? null : n));
  return {
    key: cell.key,
    say: cell.gaps.length > 1 ? 'Which two numbers are missing?' : 'Which number is missing?',
    lay: `A row of cards from ${row[0]} to ${row.at(-1)}, ${cell.gaps.length > 1 ? 'two gaps' : 'a gap'} in it.`,
    lying: row,
    right: { kind: 'gap', row: open, gaps: [...cell.gaps], answers: [...cell.gaps] },
    way: speaks(game) ? 'spoken' : 'pointed',
    counts: cell.gaps.flatMap((n) => {
      const itemId = cell.gaps.length > 1 ? `n${n}-gap2` : cell.itemId;
      return findItem(cell.skillId, itemId)
        ? [{ skillId: cell.skillId, itemId, by: 'gap' as const }]
        : [];
    }),
    sentence: plain(`${inARow(row)}.`),
    scene: cardsScene(open),
  };
}

const STEP = { plus1: 'one more than', minus1: 'one fewer than' } as const;

/** The puppet says a number and forgets the next, or the one before. */
function after(game: Game): Draft | null {
  const cells = SKILLS.filter(
    ({ family, to }) => family === 'say-next' && to <= Math.max(5, game.top),
  ).flatMap((skill) =>
    skill.items.map((item) => ({
      skillId: skill.id,
      itemId: item.id,
      key: `next-${item.id}`,
      numbers: [item.number],
      step: item.form === 'after' ? 1 : -1,
      ask: `Which number comes just ${item.form} ${numberWord(item.number)}?`,
      told: `comes just ${item.form} ${numberWord(item.number)}`,
    })),
  );
  const steps = (['plus1', 'minus1'] as const).flatMap((family) =>
    upTo(0, Math.min(10, game.top)).flatMap((n) => {
      const item = itemByNumber(family, n);
      return item
        ? [
            {
              ...item,
              key: `${family}-${n}`,
              numbers: [n],
              step: family === 'plus1' ? 1 : -1,
              ask: `What is ${STEP[family]} ${numberWord(n)}?`,
              told: `is ${STEP[family]} ${numberWord(n)}`,
            },
          ]
        : [];
    }),
  );
  const cell = choose(game, [...cells, ...steps]);
  if (!cell) return null;
  const [n = 1] = cell.numbers;
  const answer = n + cell.step;
  return {
    key: cell.key,
    ...asksNumber(game, answer, cell.ask),
    lay: 'The puppet has forgotten it.',
    lying: [n],
    right: { kind: 'after', number: n, step: cell.step, answer },
    counts: only({ skillId: cell.skillId, itemId: cell.itemId }),
    sentence: plain(`${Word(answer)} ${cell.told}.`),
  };
}

function place(game: Game): Draft | null {
  const cells = SKILLS.filter(({ family }) => family === 'place').flatMap((skill) =>
    skill.items.map((item) => ({
      skillId: skill.id,
      itemId: item.id,
      key: `place-${item.id}`,
      numbers: [item.number],
      end: item.form === 'right' ? ('right' as const) : ('left' as const),
    })),
  );
  const cell = choose(game, cells);
  if (!cell) return null;
  const [n = 1] = cell.numbers;
  return {
    key: cell.key,
    say: speaks(game) ? `Who is ${placeWord(n)}?` : `Point to the one that is ${placeWord(n)}.`,
    lay: `Five in a row. Count from the ${cell.end}.`,
    lying: [n],
    right: { kind: 'place', asked: n, fromEnd: cell.end, answer: n },
    way: 'pointed',
    counts: only({ skillId: cell.skillId, itemId: cell.itemId }),
    sentence: plain(`This one is ${placeWord(n)} from the ${cell.end}.`),
    scene: placesScene(cell.end),
  };
}

/** Numerals in a row: put in order, one missing, just after and before, first and third. */
export const order: RoundModule = {
  kind: 'order',
  credits({ form }) {
    switch (form) {
      case 'gap':
        return ['gap-*', 'name-100'];
      case 'after':
        return ['say-next-*', 'plus1-*', 'minus1-*'];
      case 'place':
        return ['place-5'];
      default:
        return ['order-5', 'order-10', 'order-20'];
    }
  },
  next(game) {
    const { form } = game.round;
    if (isOver(game, form === undefined ? 1 : 6)) return null;
    switch (form) {
      case 'gap':
        return gap(game);
      case 'after':
        return after(game);
      case 'place':
        return place(game);
      default:
        return inOrder(game);
    }
  },
};
