/** What a made-up child's answer looks like as a record, slips and stories included. */
import { expectedRecord, isRight, padFor } from '@gumo/core/pads';

const TWINS = { 6: 9, 9: 6, 2: 5, 5: 2, 12: 20, 13: 30 };

/** @param slip a random number in [0, 1) that chooses the kind of slip */
export function recordOf(child, prompt, right, slip) {
  const n = prompt.expected;
  const { name, answerModes } = child.row;
  switch (prompt.kind) {
    case 'count': {
      const base = { kind: 'count', language: 'en', n, layout: prompt.layout ?? 'row' };
      const fine = { words: n, lastWord: n, skipped: 0, doubled: 0, answer: n, recounted: false };
      if (right) return { ...base, ...fine };
      if (name === 'Mirela' || slip < 0.3) return { ...base, ...fine, recounted: true };
      if (slip < 0.65) {
        return { ...base, ...fine, words: n + 1, lastWord: n + 1, doubled: 1, answer: n + 1 };
      }
      return { ...base, ...fine, words: n - 1, lastWord: n - 1, skipped: 1, answer: n - 1 };
    }
    case 'give':
      return { kind: 'give', asked: n, given: right ? n : n + (slip < 0.6 ? 1 : -1) };
    case 'numeral': {
      const answer = right ? n : (TWINS[n] ?? Math.max(0, n + (slip < 0.5 ? 1 : -1)));
      return {
        kind: 'numeral',
        shown: n,
        answer,
        way: answerModes.includes('speaks') ? 'spoken' : 'pointed',
      };
    }
    case 'reach':
      return reachRecord(name, prompt, right, slip);
    case 'compare': {
      const record = expectedRecord(prompt, 'en');
      if (right) return record;
      if (record.asked === 'difference') {
        return { ...record, answer: String(Math.max(record.left, record.right)) };
      }
      return { ...record, answer: record.answer === 'left' ? 'right' : 'left' };
    }
    case 'draw': {
      const record = expectedRecord(prompt, 'en');
      return { ...record, readable: right, reversed: !right && slip < 0.6, startRight: slip < 0.8 };
    }
    default: {
      const record = right ? expectedRecord(prompt, 'en') : wrongRecord(prompt, slip);
      return prompt.skillId === 'on-10' ? { ...record, way: 'on' } : record;
    }
  }
}

const SETTING = { top: 10, languages: [{ tag: 'en', name: 'English' }] };

/** A wrong answer as children give it: counting on, the first number is said again. */
function wrongRecord(prompt, slip) {
  const record = expectedRecord(prompt, 'en');
  const n = prompt.expected;
  if (prompt.kind === 'add') return { ...record, answer: Math.max(0, n - 1) };
  if (prompt.kind === 'bond') {
    return { ...record, answer: slip < 0.4 ? (prompt.parts[0] ?? n) : Math.max(0, n - 1) };
  }
  const wrong = padFor(prompt, null, SETTING)
    .flatMap((group) => group.keys)
    .filter(({ next }) => next && !isRight(prompt, next));
  const near = wrong.filter(({ label }) => Math.abs(Number(label) - n) === 1);
  const among = near.length > 0 ? near : wrong;
  return among[Math.floor(slip * among.length)]?.next ?? record;
}

function reachRecord(name, prompt, right, slip) {
  const n = prompt.expected;
  const base = {
    kind: 'reach',
    language: 'en',
    direction: prompt.direction,
    from: prompt.from,
    to: n,
    ...(prompt.step > 1 ? { step: prompt.step } : {}),
    leftOut: [],
    repeated: [],
    swapped: [],
    said: null,
    guess: null,
  };
  if (right) return { ...base, stop: n };
  if (prompt.step > 1) return { ...base, stop: prompt.from };
  if (prompt.direction === 'down') return { ...base, stop: Math.max(1, prompt.from - 2) };
  if (prompt.from > 1) return { ...base, stop: prompt.from };
  if (n >= 20) {
    if (name === 'Kofi' || slip < 0.4) return { ...base, stop: Math.min(n, 20), leftOut: [15] };
    return { ...base, stop: Math.min(n - 1, slip < 0.7 ? 29 : 16) };
  }
  return { ...base, stop: Math.max(1, n - 1 - Math.floor(slip * 3)) };
}

/** Chance of on own, where a child's own story makes an item hard; as usual otherwise. */
export function storyChance(child, prompt, usual) {
  const { name } = child.row;
  const from = prompt.from === 1 && prompt.direction === 'up';
  if (name === 'Mirela' && prompt.kind === 'numeral' && [6, 9].includes(prompt.expected)) {
    return 0.25;
  }
  if (name === 'Kofi' && prompt.kind === 'reach' && from && prompt.expected >= 20) return 0.1;
  if (name === 'Sunniva' && prompt.skillId === 'on-10') return 0.35;
  return usual;
}
