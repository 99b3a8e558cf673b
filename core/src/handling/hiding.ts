import { capital, numberWord } from '../numbers/index.js';
import { type Manipulative, type Sentence, act, choice, step } from './handling.js';
import { type Scene, ground, piece } from './scene.js';
import { partsSentence } from './sentences.js';

type Cover = 'cloth' | 'sack' | 'shed';

const PER_ROW = 5;
const PITCH = 1.15;
const COVER = 6;

/** Things in view in rows of five, and others under a cloth, in a sack or in a shed. */
export function hidingScene(
  inView: number,
  hidden: number,
  lifted: boolean,
  cover: Cover = 'cloth',
): Scene {
  const height = 5;
  const rows = (n: number): number => Math.max(1, Math.ceil(n / PER_ROW));
  const spot = (i: number, n: number, left: number): readonly [number, number] => [
    left + PITCH * ((i % PER_ROW) + 0.5),
    height / 2 + PITCH * (Math.floor(i / PER_ROW) - (rows(n) - 1) / 2),
  ];
  const left = PER_ROW * PITCH + 0.8;
  return {
    width: left + COVER,
    height,
    under: [
      ground('mark', left - 0.4, 0.4, 0, height - 0.8),
      ground('plate', left, 0.1, COVER, height - 0.2, { id: 'inside', moves: true }),
    ],
    pieces: [
      ...Array.from({ length: inView }, (_, i) => {
        const [x, y] = spot(i, inView, 0);
        return piece(`out-${i}`, x, y);
      }),
      ...Array.from({ length: hidden }, (_, i) => {
        const [x, y] = spot(i, hidden, left + 0.1);
        return piece(`in-${i}`, x, y, { hidden: !lifted });
      }),
    ],
    over: lifted
      ? []
      : [
          ground('cloth', left, 0.1, COVER, height - 0.2, {
            id: 'cover',
            moves: true,
            text: cover,
          }),
        ],
    words: lifted
      ? `${numberWord(inView)} here and ${numberWord(hidden)} there`
      : `${numberWord(inView)} in view, the rest in the ${cover}`,
  };
}

interface HidingState {
  readonly inView: number;
  readonly hidden: number;
  readonly lifted: boolean;
  readonly cover: Cover;
}

const MOST = 20;

export const HIDING: Manipulative<HidingState> = {
  id: 'hiding',
  title: 'Cloth and sack',
  start: { inView: 3, hidden: 2, lifted: false, cover: 'cloth' },
  scene: ({ inView, hidden, lifted, cover }) => hidingScene(inView, hidden, lifted, cover),
  sentence({ inView, hidden, lifted }): Sentence {
    const whole = inView + hidden;
    if (lifted) return partsSentence([inView, hidden]);
    return {
      words: `${capital(numberWord(whole))} in all, ${numberWord(inView)} in view. How many hide?`,
      sum: `${inView} + ? = ${whole}`,
      partWhole: null,
    };
  },
  controls: ({ inView, hidden, lifted, cover }) => [
    act('lift', lifted ? 'Cover it' : 'Look'),
    step('whole', 'in all', inView + hidden, 0, MOST),
    step('hidden', 'hidden', hidden, 0, inView + hidden),
    choice('cover', 'under', cover, [
      ['cloth', 'A cloth'],
      ['sack', 'A sack'],
      ['shed', 'A shed'],
    ]),
  ],
  set(state, control, value) {
    const whole = state.inView + state.hidden;
    switch (control) {
      case 'lift':
        return { ...state, lifted: !state.lifted };
      case 'whole': {
        const hidden = Math.min(state.hidden, Number(value));
        return { ...state, hidden, inView: Number(value) - hidden };
      }
      case 'hidden':
        return { ...state, hidden: Number(value), inView: whole - Number(value) };
      default:
        return { ...state, cover: value as Cover };
    }
  },
  /** A thing in view goes inside, one inside comes out; the cover lifts. */
  tap(state, id) {
    if (id === 'cover') return { ...state, lifted: true };
    if (id.startsWith('out')) return across(state, 1);
    return id.startsWith('in-') ? across(state, -1) : state;
  },
  drop: (state, pieceId) => across(state, pieceId.startsWith('out') ? 1 : -1),
};

const across = (state: HidingState, into: 1 | -1): HidingState => ({
  ...state,
  inView: state.inView - into,
  hidden: state.hidden + into,
});
