import { SKILLS } from '../skills/index.js';
import type { CaptureRecord, Observation } from '../vocabulary/index.js';
import { aTry } from '../vocabulary/testing.js';
import { askedWords } from './asked-words.js';

const round: Observation['round'] = { kind: 'join', top: 5 } as unknown as Observation['round'];
const asked = (record: CaptureRecord, more: Partial<Observation> = {}): string =>
  askedWords(aTry({ record, round, ...more }));
const reach = (from: number, to: number, step?: number): CaptureRecord => ({
  kind: 'reach',
  language: 'en',
  direction: from > to ? 'down' : 'up',
  from,
  to,
  ...(step === undefined ? {} : { step }),
  stop: null,
  leftOut: [],
  repeated: [],
  swapped: [],
  said: null,
  guess: null,
});

describe('what was asked, in a few words', () => {
  it('is said with the numbers of the question', () => {
    const cases: readonly (readonly [CaptureRecord, string])[] = [
      [reach(1, 12), 'to 12'],
      [reach(4, 12), '4 to 12'],
      [reach(10, 0), '10 to 0'],
      [reach(2, 20, 2), 'to 20, by 2'],
      [{ kind: 'give', asked: 6, given: 5 }, 'give 6'],
      [{ kind: 'order', given: [7, 3, 5], placed: [] }, 'order 3 to 7'],
      [{ kind: 'gap', row: [], gaps: [4, 6], answers: [] }, 'missing 4 and 6'],
      [{ kind: 'compare', left: 3, right: 5, asked: 'fewer', answer: '' }, '3 and 5: fewer'],
      [
        { kind: 'compare', left: 3, right: 5, asked: 'difference', answer: '' },
        '3 and 5: how many more',
      ],
      [{ kind: 'after', number: 6, step: 1, answer: null }, '6 + 1'],
      [{ kind: 'after', number: 6, step: -1, answer: null }, '6 − 1'],
      [{ kind: 'bond', whole: 5, parts: [2, 3], inView: [], answer: null }, '2 and 3 make 5'],
      [{ kind: 'bond', whole: 5, parts: [], inView: [], answer: null }, 'parts of 5'],
      [{ kind: 'add', addends: [5, 2], answer: null, way: null, sentenceRight: null }, '5 + 2'],
      [{ kind: 'add', addends: [5, -2], answer: null, way: null, sentenceRight: null }, '5 − 2'],
      [{ kind: 'groups', groups: 3, size: 2, answer: null, leftOver: null }, '3 groups of 2'],
      [{ kind: 'share', n: 6, among: 3, answer: null, leftOver: null }, '6 among 3'],
      [{ kind: 'partner', n: 7, answer: null, because: '' }, '7: odd or even'],
      [{ kind: 'range', low: 4, high: 9, actual: 7 }, '4 to 9 in the jar'],
    ];
    for (const [record, words] of cases) expect(asked(record)).toBe(words);
  });

  it('tells cups from units, and a digit from another figure', () => {
    const length = (unit: string): CaptureRecord => ({
      kind: 'length',
      material: 'the bench',
      unit,
      predicted: null,
      measured: null,
      gaps: false,
      overlaps: false,
      endsLinedUp: null,
    });
    expect(asked(length('cup'))).toBe('cups of the bench');
    expect(asked(length('bobbin'))).toBe('units of the bench');
  });

  it('is the words of its item where a record has no numbers, or is of the first form', () => {
    const skill = SKILLS.find(({ items }) => items.length > 0)!;
    const of = { skillId: skill.id, itemId: skill.items[0]!.id };
    const note: CaptureRecord = { kind: 'note', words: '' };
    expect(asked(note, of)).toBe(skill.items[0]!.label);
    expect(asked(note, { ...of, itemId: null })).toBe('tried');
    expect(askedWords(aTry({ record: reach(1, 12), ...of }))).toBe(skill.items[0]!.label);
  });
});
