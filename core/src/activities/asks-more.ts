import { capital, numberWord as word } from '../numbers/index.js';
import type { Ask, Asking } from './ask.js';

const STORY_JOIN = (a: number, b: number): Asking => ({
  ask: `${capital(word(a))} snails sit on the wall. ${capital(word(b))} more come. How many now?`,
  lay: `${a + b} things to act it out, if the child likes.`,
  expected: a + b,
});

const STORIES: Record<string, (a: number, b: number) => Asking> = {
  join: STORY_JOIN,
  away: (a, b) => ({
    ask: `${capital(word(a))} kites fly. ${capital(word(b))} blow away. How many are left?`,
    lay: `${a} things to act it out, if the child likes.`,
    expected: a - b,
  }),
  parts: (a, b) => ({
    ask: `${capital(word(a))} drums are red and ${word(b)} are blue. How many drums?`,
    lay: `${a + b} things in two colors.`,
    expected: a + b,
  }),
  more: (a, b) => ({
    ask: `One pot has ${word(a)} carrots, the other ${word(b)}. How many more?`,
    lay: `Two rows: ${a} and ${b}.`,
    expected: a - b,
  }),
};

/** A story told with things at hand. */
export const story: Ask = ({ form, parts: [a = 0, b = 0] }) =>
  STORIES[form ?? 'join']?.(a, b) ?? STORY_JOIN(a, b);

const ahead = (parts: readonly number[]): number => parts[0] ?? 1;

/** Wording for measuring, sorting, charts, patterns and mirrors. */
export const MORE_ASKS: Readonly<Record<string, Ask>> = {
  which: ({ label }) => ({ ask: `Which is ${label.split(',')[0]}?`, lay: `Two things: ${label}.` }),
  'order-three': ({ label }) => ({ ask: 'Put them in order.', lay: `Lay out ${label}.` }),
  'holds-more': ({ label, number }) =>
    number > 0
      ? { ask: 'How many cups does it hold?', lay: `A jar of about ${label}, a cup, and water.` }
      : { ask: 'Which holds more? Let’s pour.', lay: `Jars and a cup: ${label}.` },
  units: ({ label }) => ({
    ask: 'How many long is it?',
    lay: `A thing about ${label}, and equal things to lay along it.`,
  }),
  divide: ({ label }) => ({
    ask: 'Is it lighter or heavier than this?',
    lay: `Let the child heft ${label}, then weigh.`,
  }),
  estimate: ({ number }) => ({
    ask: 'At least how many? At most how many?',
    lay: `About ${number} things in a clear jar.`,
  }),
  alike: ({ label }) => ({ ask: 'Find the same one.', lay: `Four cards; alike ${label}.` }),
  sort: ({ label }) => ({ ask: 'Put together what belongs together.', lay: `Sort ${label}.` }),
  shape: ({ label }) => ({ ask: `Find me ${label}.`, lay: 'Four things, one of them that shape.' }),
  'chart-build': ({ label }) => ({
    ask: 'Lay them in columns so that we can see.',
    lay: `Things for ${label}, and a line to begin at.`,
  }),
  chart: ({ label }) => ({ ask: `What does the chart say: ${label}?`, lay: 'A chart of things.' }),
  'pattern-match': ({ label }) => ({
    ask: 'Which row is the same?',
    lay: `Lay ${label}, and four rows to choose from.`,
  }),
  'pattern-copy': ({ label }) => ({
    ask: 'Make one just like it.',
    lay: `Lay ${label}, and enough pieces beside it.`,
  }),
  'pattern-next': ({ parts }) => ({
    ask: ahead(parts) === 1 ? 'What comes next?' : `What are the next ${word(ahead(parts))}?`,
    lay: 'The row as drawn; say it aloud together first.',
  }),
  'pattern-fix': () => ({
    ask: 'Something is not right here. Where?',
    lay: 'The row as drawn, with one wrong piece.',
  }),
  'pattern-unit': ({ form }) =>
    form === null
      ? { ask: 'Make a pattern of your own. What repeats?', lay: 'Two or three colors to lay.' }
      : { ask: 'What is it that comes again and again?', lay: 'The row as drawn.' },
  'mirror-make': ({ label }) => ({
    ask: 'Make the other side the same.',
    lay: `Lay ${label} on one side of a line.`,
  }),
  mirror: ({ label }) => ({ ask: 'What does the mirror show?', lay: `Safety mirrors: ${label}.` }),
};
