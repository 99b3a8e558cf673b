/** What a made-up child's answer looks like on the pad, slips and stories included. */
import { isRight, padFor } from '@gumo/core/pads';
import { findItem } from '@gumo/core/skills';

const TWINS = { 6: 9, 9: 6, 2: 5, 5: 2, 12: 20, 13: 30 };
const SETTING = { languages: [{ tag: 'en', name: 'English' }] };

/**
 * What stands on the pad after the answer; null where it was not touched.
 * @param slip a random number in [0, 1) that chooses the kind of slip
 */
export function answerOf(child, question, right, slip) {
  const record = question.right;
  if (record.kind === 'weigh') return weighed(record, right, slip);
  if (right) {
    const done = question.heard ? null : record;
    return question.itemId && record.kind === 'add' && question.counts.some(on10)
      ? { ...record, way: 'on' }
      : done;
  }
  return wrongAnswer(child, question, slip);
}

const on10 = ({ skillId }) => skillId === 'on-10';
const bond5 = ({ skillId }) => skillId === 'bond-5';
/** From this day on Kofi's bonds of five are gone, after the week without preschool. */
const FADED = '2026-02-16';

/** Predicted and then weighed: the scale decides who was right. */
function weighed(record, right, slip) {
  const found = slip < 0.5 ? 'lighter' : 'heavier';
  return {
    ...record,
    found,
    predicted: right ? found : found === 'lighter' ? 'heavier' : 'lighter',
  };
}

/** A wrong answer as children give it: counting on, the first number is said again. */
function wrongAnswer(child, question, slip) {
  const { name } = child.row;
  const record = question.right;
  const n = record.n ?? record.shown ?? record.asked ?? record.answer ?? 0;
  switch (record.kind) {
    case 'count': {
      if (name === 'Mirela' || slip < 0.3) return { ...record, recounted: true };
      const by = slip < 0.65 ? 1 : -1;
      const said = { words: n + by, lastWord: n + by, answer: n + by };
      return { ...record, ...said, doubled: by > 0 ? 1 : 0, skipped: by > 0 ? 0 : 1 };
    }
    case 'give':
      return { ...record, given: Math.max(0, n + (slip < 0.6 ? 1 : -1)) };
    case 'numeral':
      return { ...record, answer: TWINS[n] ?? Math.max(0, n + (slip < 0.5 ? 1 : -1)) };
    case 'reach':
      return stopped(child, record, slip);
    case 'add':
      return {
        ...record,
        answer: Math.max(0, record.answer - 1),
        way: name === 'Sunniva' ? 'on' : record.way,
      };
    case 'bond': {
      const [first = n] = record.parts;
      const other = Math.max(0, record.answer - 1);
      const said = slip < 0.4 && first !== record.answer ? first : other;
      return { ...record, answer: said === record.answer ? said + 1 : said };
    }
    case 'draw':
      return { ...record, readable: false, reversed: slip < 0.6, startRight: slip < 0.8 };
    case 'range':
    case 'guess':
      return null;
    default: {
      const wrong = padFor(question, null, SETTING)
        .flatMap((group) => group.keys)
        .filter(({ next }) => next && !isRight(question, next));
      return wrong[Math.floor(slip * wrong.length)]?.next ?? null;
    }
  }
}

/** Stops where the words are used up; Kofi leaves out fifteen. */
function stopped(child, record, slip) {
  const { from, to } = record;
  if ((record.step ?? 1) > 1 || from > 1 || record.direction === 'down') {
    const by = record.direction === 'down' ? -1 : 1;
    return { ...record, stop: from + by * (record.step ?? 1) };
  }
  const stop = Math.max(1, Math.min(to - 1, Math.round(child.reach * (0.75 + 0.4 * slip))));
  if (child.row.name !== 'Kofi' || to < 20) return { ...record, stop };
  return { ...record, stop: Math.min(to, Math.max(20, stop)), leftOut: [15] };
}

/** True for a numeral that this child takes for its twin, and says so. */
const takenForTwin = (child, { right }) =>
  child.row.name === 'Mirela' && right.kind === 'numeral' && [6, 9].includes(right.shown);

/** True for a sum that this child counts on, saying the first number again. */
const saidAgain = (child, { right }) =>
  child.row.name === 'Sunniva' && right.kind === 'add' && right.addends.length === 2;

/** True where a wrong answer of this child is always told: it is what their story is about. */
export const toldInFull = (child, question) =>
  takenForTwin(child, question) || saidAgain(child, question);

/** Chance of on own, where a child's own story makes an item hard; as usual otherwise. */
export function storyChance(child, question, usual, day) {
  const { right, counts } = question;
  const { name } = child.row;
  if (takenForTwin(child, question)) return 0.25;
  const whole = right.kind === 'reach' && right.from === 1 && right.direction === 'up';
  if (name === 'Kofi' && whole && right.to >= 20) return 0.1;
  if (whole) return right.to > child.reach ? 0.02 : Math.max(usual, 0.75);
  if (name === 'Kofi' && day >= FADED && counts.some(bond5)) return 0.2;
  if (saidAgain(child, question)) return 0.35;
  return usual;
}

/** How hard an item is, on the scale of its skill. */
export const difficultyOf = (skillId, itemId) => findItem(skillId, itemId ?? '')?.difficulty ?? 0;
