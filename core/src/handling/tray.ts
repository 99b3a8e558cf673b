import {
  type Opening,
  chanceOfSplit,
  expectedShakes,
  hashText,
  nextOpening,
  numberWord,
  orderedChances,
  seeded,
  waysInRooms,
} from '../numbers/index.js';
import { type Manipulative, type Sentence, act, choice, step } from './handling.js';
import { type Piece, type Scene, ground, piece } from './scene.js';
import { partsSentence } from './sentences.js';

const ROOM = 4.8;
const HEIGHT = 5.4;
const EDGE = 0.3;

/** Where counters come to rest in a room: a loose grid, nudged a little by the seed. */
function resting(n: number, seed: string): readonly (readonly [number, number])[] {
  const random = seeded(hashText(seed));
  const columns = n > 12 ? 4 : 3;
  const rows = Math.max(3, Math.ceil(n / columns));
  const cells = Array.from({ length: columns * rows }, (_, i) => i);
  for (let i = cells.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [cells[i], cells[j]] = [cells[j] ?? 0, cells[i] ?? 0];
  }
  const pitchX = (ROOM - 0.4) / columns;
  const pitchY = (HEIGHT - 0.4) / rows;
  const loose = Math.max(0, Math.min(pitchX, pitchY) - 1.04) / 2;
  const nudge = (): number => (random() * 2 - 1) * loose;
  return cells
    .slice(0, n)
    .map(
      (cell) =>
        [
          0.2 + pitchX * ((cell % columns) + 0.5) + nudge(),
          0.2 + pitchY * (Math.floor(cell / columns) + 0.5) + nudge(),
        ] as const,
    );
}

/** A tray with two or three rooms; a lid over all of it, or over one room. */
export function trayScene(
  rooms: readonly number[],
  lid: 'off' | 'on' | 'last',
  seed: string,
): Scene {
  const at = (room: number): number => EDGE + room * ROOM;
  const covered = (room: number): boolean =>
    lid === 'on' || (lid === 'last' && room === rooms.length - 1);
  const size = rooms.reduce((sum, n) => sum + n, 0) > 15 ? 0.9 : 1;
  const pieces: Piece[] = rooms.flatMap((n, room) =>
    resting(n, `${seed}/${room}`).map(([x, y], i) =>
      piece(`counter-${room}-${i}`, at(room) + x, EDGE + y, {
        w: size,
        h: size,
        hidden: covered(room),
      }),
    ),
  );
  return {
    width: rooms.length * ROOM + 2 * EDGE,
    height: HEIGHT + 2 * EDGE,
    under: rooms.map((_, room) =>
      ground('room', at(room), EDGE, ROOM, HEIGHT, { id: `room-${room}`, moves: true }),
    ),
    pieces,
    over: rooms.flatMap((_, room) =>
      covered(room)
        ? [ground('cloth', at(room), EDGE, ROOM, HEIGHT, { id: 'lid', moves: true })]
        : [],
    ),
    words:
      lid === 'on' ? 'a tray with its lid on' : `a tray, ${rooms.map(numberWord).join(' and ')}`,
  };
}

interface TrayState {
  readonly n: number;
  readonly roomCount: number;
  /** Openings so far, the last of them is what lies there. */
  readonly openings: readonly Opening[];
  readonly lid: 'off' | 'on' | 'last';
}

const last = ({ openings, n, roomCount }: TrayState): Opening =>
  openings.at(-1) ?? {
    rooms: [n, ...Array.from({ length: roomCount - 1 }, () => 0)],
    dealt: false,
  };

function sentence(state: TrayState): Sentence {
  const { rooms, dealt } = last(state);
  if (state.lid !== 'off') return { words: 'What lies inside?', sum: '', partWhole: null };
  const said = partsSentence(rooms);
  return dealt ? { ...said, words: `${said.words} Dealt, as chance had not brought it.` } : said;
}

/** What the educator may know about the tray: how likely this is, and what is still missing. */
function aboutTray(state: TrayState): string {
  const ways = waysInRooms(state.n, state.roomCount).length;
  const seen = new Set(state.openings.map((one) => one.rooms.join('-'))).size;
  if (state.roomCount !== 2) return `${seen} of ${ways} ways seen`;
  const { rooms } = last(state);
  const percent = (100 * chanceOfSplit(state.n, rooms[0] ?? 0)).toFixed(1);
  const shakes =
    state.n <= 10
      ? `; by chance alone about ${Math.round(expectedShakes(orderedChances(state.n)))} shakes for all`
      : '';
  return `${seen} of ${ways} ways seen; this one comes ${percent} times in a hundred${shakes}`;
}

export const TRAY: Manipulative<TrayState> = {
  id: 'tray',
  title: 'Tray',
  start: { n: 6, roomCount: 2, openings: [], lid: 'off' },
  scene: (state) =>
    trayScene(last(state).rooms, state.lid, `${state.openings.length}/${last(state).rooms.join()}`),
  sentence,
  about: aboutTray,
  controls: (state) => [
    act('shake', 'Shake and open'),
    choice('lid', 'lid', state.lid, [
      ['off', 'Open'],
      ['last', 'One room hidden'],
      ['on', 'Lid on'],
    ]),
    step('n', 'counters', state.n, 0, 20),
    choice('rooms', 'rooms', String(state.roomCount), [
      ['2', 'Two'],
      ['3', 'Three'],
    ]),
    act('again', 'Begin anew', state.openings.length === 0),
  ],
  set(state, control, value, random) {
    switch (control) {
      case 'shake': {
        const next = nextOpening(state.n, state.roomCount, state.openings, random);
        const lid = state.lid === 'on' ? 'off' : state.lid;
        return { ...state, openings: [...state.openings, next], lid };
      }
      case 'lid':
        return { ...state, lid: value as TrayState['lid'] };
      case 'n':
        return { ...state, n: Number(value), openings: [] };
      case 'rooms':
        return { ...state, roomCount: Number(value), openings: [] };
      default:
        return { ...state, openings: [], lid: 'off' };
    }
  },
  tap(state, id) {
    if (id === 'lid') return { ...state, lid: 'off' };
    if (!id.startsWith('counter')) return state;
    const room = Number(id.split('-')[1]);
    return inRoom(state, room, (room + 1) % state.roomCount);
  },
  drop: (state, pieceId, placeId) =>
    inRoom(state, Number(pieceId.split('-')[1]), Number(placeId.split('-')[1])),
};

/** One counter put into another room by hand; it counts as no opening. */
function inRoom(state: TrayState, from: number, to: number): TrayState {
  if (from === to || Number.isNaN(to)) return state;
  const { rooms, dealt } = last(state);
  const moved = rooms.with(from, (rooms[from] ?? 1) - 1).with(to, (rooms[to] ?? 0) + 1);
  return { ...state, openings: [...state.openings.slice(0, -1), { rooms: moved, dealt }] };
}
