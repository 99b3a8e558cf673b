import { cardScene, dotsScene } from '../handling/index.js';
import { less, numberWord } from '../numbers/index.js';
import type { CaptureRecord } from '../vocabulary/index.js';
import { SKILLS, itemByNumber, itemByParts, moreItem } from '../skills/index.js';
import {
  type Cell,
  type Draft,
  type Game,
  type RoundModule,
  cameUpOf,
  choose,
  evenly,
  isOver,
  only,
  skillsOf,
  upTo,
  waitsFor,
  withinReach,
} from './game.js';
import { nameCells, nameItem } from './name.js';
import {
  Word,
  asksNumber,
  compareSentence,
  partsSentence,
  plain,
  takeSentence,
} from './round-words.js';

/** In which way a number is called. */
const WAYS = ['name', 'dots', 'parts', 'double', 'plus', 'minus'] as const;
const TEN = 10;

interface Called extends Cell {
  readonly how: string;
}

/** Sums and differences to five, to be known at once. */
const fluentCells = (): Called[] =>
  SKILLS.filter(({ id }) => id === 'fluent-5').flatMap((skill) =>
    skill.items.map((item) => ({
      skillId: skill.id,
      itemId: item.id,
      key: item.id,
      numbers: [...item.parts],
      how: item.form === 'minus' ? 'minus' : 'plus',
    })),
  );

/** Caller cards: the number by its name, as dots, as two parts that make ten, as a double, as a sum. */
function called(game: Game): Called[] {
  const own = skillsOf(game.activity);
  const names = nameCells(game).map((cell) => ({ ...cell, key: `call-${cell.key}`, how: 'name' }));
  const dots = upTo(1, Math.min(10, game.top)).flatMap((n): Called[] => {
    const item = itemByNumber('match', n, 'numeral');
    return item ? [{ ...item, key: `call-dots-${n}`, numbers: [n], how: 'dots' }] : [];
  });
  const bonds = upTo(0, game.top >= TEN ? TEN : -1).flatMap((n): Called[] => {
    const item = itemByParts('bond', [n, TEN - n]);
    return item ? [{ ...item, key: `call-bond-${n}`, numbers: [n, TEN - n], how: 'parts' }] : [];
  });
  const doubles = upTo(1, Math.min(5, Math.floor(game.top / 2))).flatMap((n): Called[] => {
    const item = itemByParts('double', [n, n]);
    return item ? [{ ...item, key: `call-double-${n}`, numbers: [n, n], how: 'double' }] : [];
  });
  const sums = fluentCells().map((cell) => ({ ...cell, key: `call-${cell.key}` }));
  return [...names, ...dots, ...bonds, ...doubles, ...sums].filter(({ skillId }) =>
    own.has(skillId),
  );
}

/** A sum or a difference to be worked out. @param then what is said after it */
function worked(
  game: Game,
  { numbers: [a = 0, b = 0], how }: Called,
  then: string,
): Pick<Draft, 'say' | 'lay' | 'right' | 'sentence'> {
  const minus = how === 'minus';
  const answer = minus ? a - b : a + b;
  return {
    ...asksNumber(
      game,
      answer,
      `${Word(a)} ${minus ? 'take away' : 'and'} ${numberWord(b)}: ${then}`,
    ),
    lay: '',
    right: {
      kind: 'add',
      addends: [a, minus ? less(b) : b],
      answer,
      way: null,
      sentenceRight: null,
    },
    sentence: minus ? takeSentence(a, b) : partsSentence([a, b]),
  };
}

function ask(game: Game, cell: Called): Draft {
  const [a = 0, b = 0] = cell.numbers;
  const counts = only(cell);
  const shared = { key: cell.key, lying: cell.numbers, counts };
  switch (cell.how) {
    case 'dots':
      return {
        ...shared,
        say: 'I show it with dots. Which number do you cover?',
        lay: `The caller card with ${a === 1 ? 'one dot' : `${numberWord(a)} dots`}.`,
        right: { kind: 'numeral', shown: a, answer: a, way: 'matched' },
        way: 'pointed',
        sentence: plain(`${Word(a)} dots: ${a}.`.replace('One dots', 'One dot'), String(a)),
        scene: dotsScene(a, 'dice', game.seed),
      };
    case 'parts':
      return {
        ...shared,
        ...asksNumber(game, b, `${Word(a)} and how many make ten? Cover it.`),
        lay: '',
        right: { kind: 'bond', whole: TEN, parts: [a, b], inView: [a], answer: b },
        sentence: partsSentence([a, b]),
      };
    case 'plus':
    case 'minus':
    case 'double':
      return { ...shared, ...worked(game, cell, 'cover how many that is.') };
    default:
      return {
        ...shared,
        say: `Cover the ${numberWord(a)}.`,
        lay: 'Say its name only.',
        right: { kind: 'numeral', shown: a, answer: a, way: 'pointed' },
        way: 'pointed',
        sentence: plain(`This is ${numberWord(a)}.`, String(a)),
      };
  }
}

/** In which way a number was called, as its record says. */
function calledAs(record: CaptureRecord): (typeof WAYS)[number] {
  if (record.kind === 'bond') return 'parts';
  if (record.kind === 'add') {
    const [a, b = 0] = record.addends;
    return a === b ? 'double' : b < 0 ? 'minus' : 'plus';
  }
  return record.kind === 'numeral' && record.way === 'matched' ? 'dots' : 'name';
}

/** The sum or the pair in the square to be taken. */
function square(game: Game): Draft | null {
  const own = skillsOf(game.activity);
  const top = Math.min(10, Math.max(5, game.top));
  const fluent = fluentCells().map((cell) => ({ ...cell, key: `square-${cell.key}` }));
  const on = upTo(2, top - 1).flatMap((a) =>
    upTo(1, Math.min(4, top - a)).flatMap((b): Called[] => {
      const item = itemByParts('on', [a, b]);
      return item ? [{ ...item, key: `square-on-${a}-${b}`, numbers: [a, b], how: 'plus' }] : [];
    }),
  );
  const more = upTo(1, top).flatMap((a) =>
    upTo(1, a - 1).flatMap((b): Called[] => {
      const item = moreItem(a, b);
      return item ? [{ ...item, key: `square-more-${a}-${b}`, numbers: [a, b], how: 'more' }] : [];
    }),
  );
  const cell = choose(
    game,
    [...fluent, ...on, ...more].filter(({ skillId }) => own.has(skillId)),
  );
  if (!cell) return null;
  const [a = 0, b = 0] = cell.numbers;
  const shared = { key: cell.key, lying: cell.numbers, counts: only(cell) };
  if (cell.how === 'more') {
    const sides = game.past.map(({ record }) =>
      record.kind === 'compare' ? (record.left > record.right ? 'left' : 'right') : null,
    );
    const asked = evenly(
      game,
      ['more', 'fewer'] as const,
      game.past.map(({ record }) => (record.kind === 'compare' ? record.asked : null)),
      'asked',
    );
    const [left, right] =
      evenly(game, ['left', 'right'] as const, sides, 'side') === 'left' ? [a, b] : [b, a];
    return {
      ...shared,
      key: `square-${asked}-${left}-${right}`,
      lying: [left, right],
      say: `Which has ${asked}, or are they the same? Then take the square.`,
      lay: `The square with ${left} and ${right} dots.`,
      right: {
        kind: 'compare',
        left,
        right,
        asked,
        answer: left > right === (asked === 'more') ? 'left' : 'right',
      },
      heard: false,
      sentence: compareSentence(left, right),
      drawn: { scene: 'tile', numbers: [Math.min(9, left), Math.min(9, right)] },
    };
  }
  return {
    ...shared,
    ...worked(game, cell, 'how many? Then take the square.'),
    scene: cardScene(`${a} ${cell.how === 'minus' ? '−' : '+'} ${b}`, 8),
  };
}

/** Landed in a hoop: its number, then some more. */
function landed(game: Game): Draft {
  const cameUp = cameUpOf(game, [''], 1, Math.max(5, Math.min(20, game.top)));
  const [n] = game.came;
  const last = game.past.at(-1);
  const onward =
    last?.part === game.part && last.record.kind === 'numeral' ? last.lay[0] : undefined;
  const own = skillsOf(game.activity);
  const on = onward === undefined ? null : itemByParts('on', [onward, 2]);
  if (onward !== undefined && on && own.has(on.skillId)) {
    return {
      key: `two-more-${onward}`,
      ...asksNumber(game, onward + 2, 'And two more: how many is that?'),
      lay: '',
      lying: [onward, 2],
      right: {
        kind: 'add',
        addends: [onward, 2],
        answer: onward + 2,
        way: null,
        sentenceRight: null,
      },
      counts: only(on),
      sentence: partsSentence([onward, 2]),
    };
  }
  if (n === undefined) return waitsFor('hoop', 'Jump. Where did you land?', cameUp);
  const spoken = game.modes.includes('speaks');
  return {
    key: `hoop-${n}`,
    say: spoken ? 'Which number are you on?' : `Jump to the ${numberWord(n)}.`,
    lay: '',
    lying: [n],
    cameUp,
    right: { kind: 'numeral', shown: n, answer: n, way: spoken ? 'spoken' : 'pointed' },
    way: spoken ? 'spoken' : 'pointed',
    counts: only(nameItem(n)),
    sentence: plain(`You are on ${numberWord(n)}.`, String(n)),
  };
}

/** The word of a number, laid from letters. */
function spelled(game: Game): Draft | null {
  const cells = upTo(1, Math.min(10, game.top)).flatMap((n): Cell[] => {
    const item = itemByNumber('forms', n, 'word');
    return item ? [{ ...item, key: `word-${n}`, numbers: [n] }] : [];
  });
  const cell = choose(game, cells);
  const [n] = cell?.numbers ?? [];
  if (!cell || n === undefined) return null;
  return {
    key: cell.key,
    say: 'Which number is this word? Lay it with letters.',
    lay: `The letters of “${numberWord(n)}”, its word card beside.`,
    lying: [n],
    right: { kind: 'numeral', shown: n, answer: n, way: 'matched' },
    way: 'pointed',
    counts: only(cell),
    sentence: plain(`“${numberWord(n)}” is ${n}.`, String(n)),
    scene: cardScene(numberWord(n), 8),
  };
}

/** A caller or a board says what is asked, in the way chosen. */
export const call: RoundModule = {
  kind: 'call',
  credits: ({ form }) => {
    switch (form) {
      case 'line':
        return ['on-10', 'fluent-5', 'more-10', 'more-5'];
      case 'hoops':
        return ['name-5', 'name-10', 'name-20', 'on-10'];
      case 'letters':
        return ['forms-10'];
      default:
        return ['name-*', 'match-5', 'match-10', 'bond-10', 'double-10', 'fluent-5'];
    }
  },
  next(game) {
    if (isOver(game, 9)) return null;
    switch (game.round.form) {
      case 'line':
        return square(game);
      case 'hoops':
        return landed(game);
      case 'letters':
        return spelled(game);
      default: {
        const cells = called(game);
        const can = withinReach(game);
        const fit = cells.filter((one) => can(one) || game.wants.includes(one.skillId));
        const ways = WAYS.filter((how) =>
          (fit.length > 0 ? fit : cells).some((one) => one.how === how),
        );
        const used = game.past.map(({ record }) => calledAs(record));
        const how = evenly(game, ways, used, 'how');
        const wanted = cells.filter((one) => game.wants.includes(one.skillId));
        const open =
          game.past.length > 0 && game.past.length <= 3 && wanted.length > 0
            ? wanted
            : cells.filter((one) => one.how === how);
        const cell = choose(game, open.length > 0 ? open : cells);
        return cell && ask(game, cell);
      }
    }
  },
};
