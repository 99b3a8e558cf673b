import { capital, numbered, numberWord, plural } from '../numbers/index.js';
import { pairSpots } from './dots.js';
import { type Manipulative, act, choice, step } from './handling.js';
import { type Ground, type Piece, type Scene, ground, piece } from './scene.js';
import { numberSentence } from './sentences.js';

const PITCH = 1.2;

/** g rows with s in each, in straight columns. */
export function rowsScene(rows: number, size: number): Scene {
  return {
    width: size * PITCH + 0.2,
    height: rows * PITCH + 0.2,
    under: [],
    pieces: Array.from({ length: rows * size }, (_, i) =>
      piece(
        `counter-${i}`,
        0.1 + PITCH * ((i % size) + 0.5),
        0.1 + PITCH * (Math.floor(i / size) + 0.5),
      ),
    ),
    over: [],
    words: `${numbered(rows, 'row', 'rows')} of ${numberWord(size)}`,
  };
}

/** Rings with the same number of counters in each, at most five side by side. */
export function groupsScene(groups: number, size: number): Scene {
  const columns = Math.max(1, Math.ceil(Math.sqrt(size)));
  const side = Math.max(2.2, columns * 1.1 + 0.9);
  const across = Math.min(5, Math.max(1, groups));
  const under: Ground[] = [];
  const pieces: Piece[] = [];
  for (let g = 0; g < groups; g++) {
    const x = (g % across) * (side + 0.4);
    const y = Math.floor(g / across) * (side + 0.4);
    under.push(ground('plate', x, y, side, side, { id: `group-${g}`, moves: true }));
    const lines = Math.ceil(size / columns);
    for (let i = 0; i < size; i++) {
      const inLine = Math.floor(i / columns) === lines - 1 ? size - columns * (lines - 1) : columns;
      pieces.push(
        piece(
          `counter-${g}-${i}`,
          x + side / 2 + 1.06 * ((i % columns) - (inLine - 1) / 2),
          y + side / 2 + 1.06 * (Math.floor(i / columns) - (lines - 1) / 2),
        ),
      );
    }
  }
  return {
    width: across * (side + 0.4) - 0.4,
    height: Math.max(1, Math.ceil(groups / across)) * (side + 0.4) - 0.4,
    under,
    pieces,
    over: [],
    words: `${numbered(groups, 'group', 'groups')} of ${numberWord(size)}`,
  };
}

interface GroupState {
  readonly groups: number;
  readonly size: number;
  readonly look: 'groups' | 'rows';
}

export const GROUPS: Manipulative<GroupState> = {
  id: 'groups',
  title: 'Rows and groups',
  start: { groups: 3, size: 2, look: 'rows' },
  scene: ({ groups, size, look }) =>
    look === 'rows' ? rowsScene(groups, size) : groupsScene(groups, size),
  sentence({ groups, size }) {
    const all = groups * size;
    const many = groups === 1 ? 'One' : capital(numberWord(groups));
    return {
      words:
        `${many} ${numberWord(size)}${groups === 1 ? '' : 's'} ${plural(groups, 'is', 'are')} ${numberWord(all)}.`.replace(
          'sixs',
          'sixes',
        ),
      sum:
        groups === 0 ? '0' : `${Array.from({ length: groups }, () => size).join(' + ')} = ${all}`,
      partWhole: null,
    };
  },
  controls: ({ groups, size, look }) => [
    step('groups', look === 'rows' ? 'rows' : 'groups', groups, 0, 10),
    step('size', 'in each', size, 1, 10),
    act('turn', 'Turn it'),
    choice('look', 'shown as', look, [
      ['rows', 'Rows'],
      ['groups', 'Groups'],
    ]),
  ],
  set(state, control, value) {
    if (control === 'turn') {
      return { ...state, groups: state.size, size: Math.max(1, state.groups), look: 'rows' };
    }
    return { ...state, [control]: control === 'look' ? value : Number(value) };
  },
  /** One group goes away. */
  tap: (state) => (state.groups > 0 ? { ...state, groups: state.groups - 1 } : state),
};

/** Counters side by side with a partner; the odd one has a place beside it that stays empty. */
export function partnersScene(n: number): Scene {
  const columns = Math.max(1, Math.ceil(n / 2));
  return {
    width: columns * 1.3 + 0.1,
    height: 2.6,
    under: n % 2 === 1 ? [ground('hole', 0.1 + (columns - 1) * 1.3, 1.4, 1, 1)] : [],
    pieces: pairSpots(n).map(([x, y], i) => piece(`counter-${i}`, x, y)),
    over: [],
    words: `${numbered(n, 'counter', 'counters')} in pairs`,
  };
}

export const PARTNERS: Manipulative<{ readonly n: number }> = {
  id: 'partners',
  title: 'Partners',
  start: { n: 7 },
  scene: ({ n }) => partnersScene(n),
  sentence: ({ n }) =>
    numberSentence(
      n,
      n % 2 === 0 ? ' is even: everyone has a partner' : ' is odd: one has no partner',
    ),
  controls: ({ n }) => [step('n', 'how many', n, 0, 20)],
  set: (_, __, value) => ({ n: Number(value) }),
  tap: ({ n }) => ({ n: Math.max(0, n - 1) }),
};
