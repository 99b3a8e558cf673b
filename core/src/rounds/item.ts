import { emptyState } from '../evidence/index.js';
import { chartScene, drawScene } from '../handling/index.js';
import { capital, less, numberWord, plural } from '../numbers/index.js';
import { type Item, type Skill, findItem, findSkill } from '../skills/index.js';
import type {
  Activity,
  AnswerMode,
  Answered,
  CaptureRecord,
  Round,
  SceneName,
} from '../vocabulary/index.js';
import type { Game } from './game.js';
import { roundForSkill } from './skill-rounds.js';
import { MODULES } from './kinds.js';
import type { Question } from './question.js';
import { finished, playStateOf } from './play-state.js';
import { Word, asksNumber, partsSentence, takeSentence } from './round-words.js';

/** What an item is asked as. */
interface Told {
  readonly say: string;
  readonly right: CaptureRecord;
  readonly lay?: string;
  readonly way?: Answered;
  readonly heard?: boolean;
  readonly choices?: Question['choices'];
  readonly scene?: Question['scene'];
  readonly sentence?: Question['sentence'];
}

type Tell = (game: Game, item: Item, skill: Skill) => Told;

const note = (words = ''): CaptureRecord => ({ kind: 'note', words });

const choices = (...words: readonly string[]) => ({
  right: note(),
  choices: words.map((one, i) => ({ words: one, record: note(i === 0 ? '' : one) })),
  heard: false,
});

const together = (n: readonly number[]): string => n.map(numberWord).join(' and ');

/** Wording for what is mostly done with real things, asked by itself. */
const TOLD: Readonly<Record<string, Tell>> = {
  'three-parts': (_game, { number }) => ({
    say: `Make ${numberWord(number)} with three parts.`,
    lay: `Three plates and ${numberWord(number)} counters.`,
    right: { kind: 'bond', whole: number, parts: [], inView: [], answer: number },
    way: 'shown',
  }),
  away: (game, { parts: [a = 0, b = 0] }) => ({
    ...asksNumber(game, a - b, `${Word(b)} ${plural(b, 'goes', 'go')} away. How many are left?`),
    lay: `Lay ${numberWord(a)}.`,
    right: { kind: 'add', addends: [a, less(b)], answer: a - b, way: null, sentenceRight: null },
    sentence: takeSentence(a, b),
    scene: drawScene({ scene: 'things', numbers: [a] }, game.seed, game.fill),
  }),
  'add-three': (game, { parts, number }) => ({
    ...asksNumber(game, number, `${capital(together(parts))}: how many in all?`),
    lay: `Lay ${together(parts)} on three plates.`,
    right: { kind: 'add', addends: [...parts], answer: number, way: null, sentenceRight: null },
    sentence: partsSentence(parts),
    scene: drawScene({ scene: 'plates', numbers: parts }, game.seed, game.fill),
  }),
  'sentence-plus': (_game, { parts, number }) => ({
    say: 'Lay the sentence for this with cards, or write it.',
    lay: `${capital(together(parts))} in two colors.`,
    right: { kind: 'add', addends: [...parts], answer: number, way: null, sentenceRight: true },
    way: 'shown',
    sentence: partsSentence(parts),
  }),
  'sentence-minus': (_game, { parts: [a = 0, b = 0] }) => ({
    say: 'Lay the sentence for this with cards, or write it.',
    lay: `Lay ${numberWord(a)}, then take ${numberWord(b)} away.`,
    right: { kind: 'add', addends: [a, less(b)], answer: a - b, way: null, sentenceRight: true },
    way: 'shown',
    sentence: takeSentence(a, b),
  }),
  'sentence-gap': (_game, { parts: [a = 0, b = 0] }) => ({
    say: 'What belongs in the gap?',
    lay: `Cards: ${a} + ? = ${a + b}.`,
    right: { kind: 'add', addends: [a + b, less(a)], answer: b, way: null, sentenceRight: null },
    way: 'shown',
    sentence: partsSentence([a, b]),
  }),
  'split-more': (_game, { number, form }) => {
    const [tens, ones] = [10 * Math.floor(number / 10), number % 10];
    const split = form === 'three' ? [tens - 10, 10, ones] : [tens - 10, 10 + ones];
    return {
      say: `Can you make ${numberWord(number)} ${form === 'three' ? 'out of three parts' : 'another way'}?`,
      lay: 'Tens and ones; trade a ten for ten ones.',
      right: { kind: 'tens', number, tens: null, ones: null, countedTo: null, splits: [split] },
      way: 'shown',
    };
  },
  which: (_game, { label }) => ({
    say: `Which is ${label.split(',')[0] ?? label}?`,
    lay: `Two things: ${label}.`,
    way: 'pointed',
    ...choices('the right one', 'the other one', '“the same”'),
  }),
  'order-three': (_game, { label }) => ({
    say: 'Put them in order.',
    lay: `Lay out ${label}.`,
    way: 'shown',
    ...choices('in order', 'the ends right, the middle not', 'turned round'),
  }),
  holds: (game, { label, number }) =>
    number > 0
      ? {
          ...asksNumber(game, number, 'How many cups does it hold?'),
          lay: `A jar of about ${label}, a cup, and water.`,
          right: {
            kind: 'length',
            material: 'a jar',
            unit: 'cup',
            predicted: null,
            measured: number,
            gaps: false,
            overlaps: false,
            endsLinedUp: null,
          },
        }
      : {
          say: 'Which holds more? Then we pour.',
          lay: `Jars and a cup: ${label}.`,
          way: 'pointed',
          ...choices('the one that holds more', 'the other one', '“the same”'),
        },
  units: (game, { number, label }) => ({
    ...asksNumber(game, number, 'How many long is it?'),
    lay: `A thing about ${label}, and equal things to lay along it.`,
    right: {
      kind: 'length',
      material: 'a thing',
      unit: 'unit',
      predicted: null,
      measured: number,
      gaps: false,
      overlaps: false,
      endsLinedUp: null,
    },
  }),
  estimate: (_game, { number }) => ({
    say: 'At least how many? At most how many?',
    lay: `About ${number} things in a clear jar.`,
    ...choices('a sensible range', 'too low', 'too high', 'so wide that nothing is ruled out'),
  }),
  chart: (game, item, skill) => ({
    say:
      skill.id === 'chart-build'
        ? 'Lay them in columns so that we can see.'
        : `What does the chart say: ${item.label}?`,
    lay:
      skill.id === 'chart-build' ? `Things for ${item.label}, and a line.` : 'A chart of things.',
    scene:
      skill.id === 'chart-build'
        ? null
        : chartScene([
            { name: 'blue', count: 5 },
            { name: 'orange', count: 2 },
            { name: 'green', count: 2 },
          ]),
    way: game.modes.includes('speaks') ? 'spoken' : 'pointed',
    ...choices('read right', 'another column', 'counted again'),
  }),
};

/** An activity that is nothing but one skill. */
const bare = ({ id }: Skill, round: Round): Activity => ({
  id: 'one-skill',
  title: 'One skill',
  band: 'table',
  ways: ['adult-led'],
  minutes: [1, 2],
  setUpMinutes: 0,
  clearUpMinutes: 0,
  care: '',
  seat: '',
  skills: [id],
  needs: [],
  rounds: [round],
  steps: [],
  easier: '',
  harder: '',
  watchFor: '',
  cautions: [],
  hazards: [],
  mess: 'dry',
  noise: 'quiet',
  place: 'either',
  fromAge: 0,
  checksItself: false,
  sheets: [],
  makeIt: '',
  otherwise: null,
});

const NO_SCENE: SceneName = 'none';

/**
 * The question for one item of one skill, asked by itself as in a first look; null where the map
 * has no such item.
 * @param modes how the child can answer
 */
export function questionForItem(
  skillId: string,
  itemId: string,
  modes: readonly AnswerMode[],
): Question | null {
  const skill = findSkill(skillId);
  const item = findItem(skillId, itemId);
  if (!skill || !item) return null;
  const round = roundForSkill(skill);
  const tell = TOLD[skillId] ?? TOLD[skill.family];
  const activity = bare(skill, round ?? { kind: 'count-out', scene: NO_SCENE });
  const session = playStateOf({
    activity,
    top: Math.max(5, skill.to),
    state: emptyState('', 'balanced'),
    modes,
    today: '2000-01-01',
    seed: `${skillId}/${itemId}`,
    forced: { skillId, itemId },
  });
  const game: Game = { ...session, round: round ?? { kind: 'count-out' }, part: 0, lap: 0 };
  const counts = [{ skillId, itemId }];
  if (tell) {
    const told = tell(game, item, skill);
    return finished(game, { key: `${skillId}-${itemId}`, lying: [...item.parts], counts, ...told });
  }
  const draft = round ? MODULES[round.kind].next(game) : null;
  // What can only be said aloud is not asked of a child who does not speak.
  return draft?.right && (draft.counts ?? []).length > 0 ? finished(game, draft) : null;
}
