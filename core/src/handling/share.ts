import { capital, hashText, layOut, numberWord } from '../numbers/index.js';
import { type Manipulative, act, step } from './handling.js';
import { type Ground, type Piece, type Scene, ground, piece } from './scene.js';

const PLATE = 3.6;
const PER_ROW = 3;

/** A bowl with what is not dealt yet, and plates with what each has got. */
export function shareScene(left: number, plates: readonly number[]): Scene {
  const pile = layOut(left, 'row', hashText('share'));
  const width = Math.max(pile.width + 0.8, plates.length * (PLATE + 0.5) - 0.5);
  const bowl = Math.max(1.6, pile.height + 0.6);
  const most = Math.max(1, ...plates);
  const high = Math.max(PLATE, Math.ceil(most / PER_ROW) * 1.06 + 0.8);
  const under: Ground[] = [ground('rail', 0, 0, width, bowl, { id: 'bowl', moves: true })];
  const pieces: Piece[] = pile.spots.map(({ x, y }, i) =>
    piece(`left-${i}`, (width - pile.width) / 2 + x, y + (bowl - pile.height) / 2),
  );
  plates.forEach((n, p) => {
    const x = (width - (plates.length * (PLATE + 0.5) - 0.5)) / 2 + p * (PLATE + 0.5);
    under.push(ground('plate', x, bowl + 0.6, PLATE, high, { id: `plate-${p}`, moves: true }));
    const rows = Math.ceil(n / PER_ROW);
    for (let i = 0; i < n; i++) {
      pieces.push(
        piece(
          `on-${p}-${i}`,
          x + PLATE / 2 + ((i % PER_ROW) - 1) * 1.06,
          bowl + 0.6 + high / 2 + (Math.floor(i / PER_ROW) - (rows - 1) / 2) * 1.06,
        ),
      );
    }
  });
  return {
    width,
    height: bowl + 0.6 + high,
    under,
    pieces,
    over: [],
    words: `${numberWord(left)} in the bowl; plates with ${plates.map(numberWord).join(', ')}`,
  };
}

interface ShareState {
  readonly left: number;
  readonly plates: readonly number[];
}

const total = ({ left, plates }: ShareState): number => plates.reduce((a, b) => a + b, left);

const MOST_EACH = 9;

/** One more on the plate that has fewest, the first of them. */
function dealt(state: ShareState): ShareState {
  const to = state.plates.indexOf(Math.min(...state.plates));
  return onto(state, to);
}

const onto = (state: ShareState, to: number): ShareState =>
  state.left === 0 || (state.plates[to] ?? MOST_EACH) >= MOST_EACH
    ? state
    : { left: state.left - 1, plates: state.plates.with(to, (state.plates[to] ?? 0) + 1) };

export const SHARE: Manipulative<ShareState> = {
  id: 'share',
  title: 'Plates for sharing',
  start: { left: 7, plates: [0, 0] },
  scene: ({ left, plates }) => shareScene(left, plates),
  sentence(state) {
    const { left, plates } = state;
    const each = plates[0] ?? 0;
    const fair = plates.every((n) => n === each);
    const rest = left === 0 ? 'none left over' : `${numberWord(left)} left over`;
    const done = fair && left < plates.length;
    return {
      words: done
        ? `${capital(numberWord(total(state)))} shared among ${numberWord(plates.length)}: ${numberWord(each)} each, ${rest}.`
        : fair
          ? 'Fair so far.'
          : 'Not the same on every plate yet.',
      sum: done ? `${plates.join(' + ')}${left > 0 ? ` + ${left}` : ''} = ${total(state)}` : '',
      partWhole: null,
    };
  },
  controls: (state) => [
    act('deal', 'One for you', state.left === 0),
    act('back', 'All back in the bowl', state.left === total(state)),
    step('n', 'things', total(state), 0, 20),
    step('plates', 'plates', state.plates.length, 2, 4),
  ],
  set(state, control, value) {
    const plates = state.plates.map(() => 0);
    switch (control) {
      case 'deal':
        return dealt(state);
      case 'back':
        return { left: total(state), plates };
      case 'n':
        return { left: Number(value), plates };
      default:
        return { left: total(state), plates: Array.from({ length: Number(value) }, () => 0) };
    }
  },
  /** From the bowl to the plate with fewest; from a plate back; onto the plate that was tapped. */
  tap(state, id) {
    if (id.startsWith('left')) return dealt(state);
    if (id.startsWith('plate')) return onto(state, Number(id.split('-')[1]));
    if (!id.startsWith('on-')) return state;
    const from = Number(id.split('-')[1]);
    return {
      left: state.left + 1,
      plates: state.plates.with(from, (state.plates[from] ?? 1) - 1),
    };
  },
  drop(state, pieceId, placeId) {
    const taken = pieceId.startsWith('on-') ? SHARE.tap(state, pieceId, () => 0) : state;
    return placeId.startsWith('plate') ? onto(taken, Number(placeId.split('-')[1])) : taken;
  },
};
