import { capital, numberWord, placeWord } from '../numbers/index.js';
import type { Item } from '../skills/index.js';
import type { Layout } from '../vocabulary/index.js';
import type { Ask, Asking } from './ask.js';
import { MORE_ASKS, story } from './asks-more.js';
import { familyOf } from './kinds.js';

/** Words to go on for, from a number that is not one (own arithmetic: "on from 7: 8, 9, 10"). */
const GO_ON = 3;

const word = numberWord;
const part = (item: Item, i: number): number => item.parts[i] ?? 0;
const two = (item: Item): string => `${word(part(item, 0))} and ${word(part(item, 1))}`;

/** Three tens and four ones: gone on in tens, it would be seventy. */
const CHANGE = 34;

const GLANCE_LOOK: Record<string, string> = {
  line: 'in a line',
  dice: 'as on a die',
  fingers: 'on your fingers',
  scatter: 'scattered',
  row: 'on the frame, row by row',
  pairs: 'on the frame, in pairs',
};

/** Wording by family, in the order of the strands; all of it Gumo's own. */
const ASKS: Readonly<Record<string, Ask>> = {
  say: ({ number }) => ({
    ask: `Let’s count to ${word(number)}. You start.`,
    lay: 'Nothing to lay out; tap a finger for each word if it helps.',
  }),
  'say-back': ({ number }) => ({
    ask: `Count back from ${word(number)}.`,
    lay: 'Down to zero, like a rocket or a song.',
    from: number,
    direction: 'down',
    expected: 0,
  }),
  'say-on': ({ number }) => ({
    ask: `Go on from ${word(number)}: ${word(number)} …`,
    lay: `${capital(word(number + 1))}, ${word(number + 2)}, ${word(number + 3)} is enough.`,
    from: number,
    expected: number + GO_ON,
  }),
  'say-next': ({ number, form }) => ({
    ask: `Which number comes just ${form} ${word(number)}?`,
    lay: 'Nothing to lay out.',
    expected: form === 'after' ? number + 1 : number - 1,
  }),
  touch: count,
  total: count,
  layout: ({ label, form }, speaks) => ({
    ask: speaks ? 'How many are there now?' : 'Show me how many there are now.',
    lay: `Lay ${label}.`,
    layout: form as Layout,
  }),
  give: ({ number }) => ({
    ask: `Give me ${word(number)}, please.`,
    lay: `The bowl within reach, ${Math.max(number + 3, 8)} in it.`,
  }),
  same: ({ number }) => ({
    ask: 'I move them. Are there still as many?',
    lay: `Lay ${word(number)} in a row, count, then move them before the child’s eyes.`,
  }),
  place: ({ number, form }) => ({
    ask: `Who is ${placeWord(number)}?`,
    lay: `Five in a row; count from the ${form}.`,
  }),
  glance: ({ number, form }, speaks) => ({
    ask: speaks ? 'How many did you see?' : 'Show me how many you saw.',
    lay: `Show ${word(number)} ${GLANCE_LOOK[form ?? ''] ?? ''} for three seconds, then cover.`,
  }),
  'glance-parts': (item) => ({
    ask: 'How many did you see in all? How did you see it?',
    lay: `Show ${two(item)} in two groups for three seconds.`,
  }),
  frame: ({ number, form }) =>
    form === 'to-ten'
      ? {
          ask: 'How many more to ten?',
          lay: `Build ${word(number)} on the frame.`,
          expected: 10 - number,
        }
      : {
          ask:
            form === 'other'
              ? `Put ${word(number)} on the frame another way.`
              : `Put ${word(number)} on the frame.`,
          lay: `The empty frame and ten counters of one color. Anything with ${word(number)} is right.`,
        },
  name: ({ number }, speaks) => ({
    ask: speaks ? 'What number is this?' : `Show me the ${word(number)}.`,
    lay: speaks ? `Show the card with ${number}.` : 'Four or five cards side by side.',
  }),
  match: ({ number, form }) =>
    form === 'amount'
      ? { ask: 'Bring me as many as this says.', lay: `Show the card with ${number}.` }
      : {
          ask: 'Find the number for this many.',
          lay: `Lay ${word(number)}, and the cards beside.`,
          layout: 'scatter',
        },
  forms: ({ label }) => ({
    ask: 'Which number is this?',
    lay: `Show ${label}, and four numerals to choose from.`,
  }),
  order: (_, __, { to }) => ({
    ask: 'Put the numbers in order. Which comes first?',
    lay: `The cards, muddled; all of them are between 0 and ${to}.`,
  }),
  gap: ({ number, form }) => ({
    ask: form === 'gap2' ? 'Which two numbers are missing?' : 'Which number is missing?',
    lay: `A row of cards around ${number}, with ${form === 'gap2' ? 'two gaps' : 'a gap'}.`,
  }),
  write: ({ number }) => ({
    ask: `Write a ${word(number)}.`,
    lay: 'A board and a pen; show the way once and say it.',
  }),
  draw: ({ label }) => ({
    ask: `Draw ${label}.`,
    lay: 'A board and a pen; draw it once yourself.',
  }),
  more: (item) => ({
    ask:
      part(item, 0) === part(item, 1)
        ? 'Does one have more, or are they the same?'
        : 'Which has more?',
    lay: `Lay ${two(item)}, side by side.`,
  }),
  greater: (item) => ({
    ask: 'Which number is more?',
    lay: `The cards ${part(item, 0)} and ${part(item, 1)}.`,
  }),
  sign: (item) => ({
    ask: 'Which sign belongs between them?',
    lay: `Lay ${two(item)}, and the three signs.`,
  }),
  differ: (item) => ({
    ask: 'How many more are here than there?',
    lay: `Lay ${two(item)} in two lines.`,
  }),
  plus1: ({ number }) => ({
    ask: 'And one more: how many now?',
    lay: `Lay ${word(number)}, then add one.`,
    expected: number + 1,
  }),
  minus1: ({ number }) => ({
    ask: 'One goes away: how many are left?',
    lay: `Lay ${word(number)}, then take one.`,
    expected: number - 1,
  }),
  bond: (item) => ({
    ask: `${capital(word(part(item, 0)))} here. How many more make ${word(item.number)}?`,
    lay: `${capital(word(item.number))} counters on two plates: ${two(item)}.`,
    expected: part(item, 1),
  }),
  hide: (item) => ({
    ask: 'How many are hiding?',
    lay: `${capital(word(item.number))} in all; ${word(part(item, 0))} in view, the rest under a cloth.`,
    expected: part(item, 1),
  }),
  'three-parts': ({ number }) => ({
    ask: `Make ${word(number)} with three parts.`,
    lay: `Three plates and ${word(number)} counters.`,
  }),
  double: (item) => ({
    ask: `${capital(two(item))}: how many?`,
    lay: `${capital(word(part(item, 0)))} counters in front of a mirror, or on both hands.`,
  }),
  join: (item) => ({
    ask: `${capital(two(item))}: how many in all?`,
    lay: `Lay ${two(item)} in two colors.`,
  }),
  away: (item) => ({
    ask: `${capital(word(part(item, 1)))} go away. How many are left?`,
    lay: `Lay ${word(part(item, 0))}.`,
    expected: part(item, 0) - part(item, 1),
  }),
  on: (item) => ({
    ask: `Here are ${word(part(item, 0))}, and ${word(part(item, 1))} more. Go on from ${word(part(item, 0))}.`,
    lay: `${capital(word(part(item, 0)))} under a cloth, ${word(part(item, 1))} in view.`,
  }),
  sentence: (item, _, { id }) => {
    const sign = id === 'sentence-minus' ? '−' : '+';
    const [a, b] = [part(item, 0), part(item, 1)];
    const whole = sign === '−' ? a - b : a + b;
    return id === 'sentence-gap'
      ? {
          ask: 'Which number is missing?',
          lay: `Lay ${a} + ? = ${whole} with cards.`,
          expected: b,
        }
      : {
          ask: 'Tell it with the number cards.',
          lay: `Show it with things: ${a} ${sign} ${b} = ${whole}.`,
          expected: whole,
        };
  },
  'add-three': ({ label, parts }) => ({
    ask: `${capital(label)}: how many in all?`,
    lay: `Three groups: ${parts.join(', ')}.`,
  }),
  fluent: (item) => {
    const minus = item.form === 'minus';
    const [a, b] = [part(item, 0), part(item, 1)];
    return {
      ask: minus
        ? `${capital(word(a))} take away ${word(b)}?`
        : `${capital(word(a))} and ${word(b)}?`,
      lay: 'Nothing to lay out; a breath is enough.',
      expected: minus ? a - b : a + b,
    };
  },
  story,
  halves: ({ label }) => ({
    ask: 'Make two the same out of it.',
    lay: `The child ${label}; compare the parts.`,
  }),
  partner: ({ number }) => ({
    ask: 'Does everyone have a partner? Odd or even?',
    lay: number === 1 ? 'One counter, by itself.' : `${capital(word(number))} counters to pair.`,
  }),
  share: (item) => ({
    ask: 'Share them so that it is fair. Is any left?',
    lay: `${capital(word(part(item, 0)))} things and ${word(part(item, 1))} plates.`,
    expected: Math.floor(part(item, 0) / Math.max(1, part(item, 1))),
  }),
  step: ({ label, number, parts }, _, { id, title }) => {
    const down = id === 'step-down';
    const step = down ? (parts[0] ?? 1) : Number(id.slice('step-'.length));
    return {
      ask: down ? `Count ${label}.` : `${title.replace('Counts', 'Count')}, ${label}.`,
      lay: 'Feet, hands or steps along a track help.',
      step,
      from: down ? number : step,
      direction: down ? 'down' : 'up',
      expected: down ? 0 : number,
    };
  },
  teens: ({ number }) => ({
    ask: `Make ${word(number)}: ten, and how many more?`,
    lay: 'Two frames and twenty counters.',
    expected: number - 10,
  }),
  'tens-ones': ({ number, form }) =>
    form === 'change'
      ? {
          ask: 'Count the tens, then go on with the ones.',
          lay: 'Three tens and four ones, mixed.',
          expected: CHANGE,
          number: CHANGE,
        }
      : { ask: `Build ${word(number)}.`, lay: 'Ten-things and one-things of another kind.' },
  'split-more': ({ number }) => ({
    ask: `Can you make ${word(number)} another way?`,
    lay: 'Tens and ones; trade a ten for ten ones.',
  }),
  groups: (item) => ({
    ask: 'How many are there in all?',
    lay: `${capital(word(part(item, 0)))} groups of ${word(part(item, 1))}.`,
  }),
  rows: (item) => ({
    ask: 'How many in all? And when I turn the tray?',
    lay: `${capital(word(part(item, 0)))} rows of ${word(part(item, 1))}.`,
  }),
  coins: ({ number }) => ({
    ask: 'How much is this?',
    lay: `Play coins worth ${number}: tens, fives, ones.`,
  }),
  ...MORE_ASKS,
};

function count({ number }: Item, speaks: boolean): Asking {
  return {
    ask: speaks
      ? 'Count them for me. How many are there?'
      : 'Touch each one. Show me how many there are.',
    lay: `Lay ${word(number)} in a row.`,
    layout: 'row',
  };
}

/**
 * The wording of a skill's items, by its id, its family, or the first part of its id.
 * @throws RangeError for a skill that has none
 */
export function askOf(skillId: string): Ask {
  const first = skillId.split('-')[0] ?? '';
  const found = ASKS[skillId] ?? ASKS[familyOf(skillId)] ?? ASKS[first];
  if (!found) throw new RangeError(`no wording for skill "${skillId}"`);
  return found;
}
