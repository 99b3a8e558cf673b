import { padFor } from '../pads/index.js';
import { questionForItem } from '../rounds/index.js';
import { SKILLS } from '../skills/index.js';
import { recordWords } from './record-words.js';

describe('a record in words', () => {
  it('says what was answered, then what slipped', () => {
    expect(
      recordWords({
        kind: 'count',
        language: 'en',
        n: 7,
        layout: 'row',
        words: 9,
        lastWord: 9,
        skipped: 0,
        doubled: 2,
        answer: 9,
        recounted: false,
      }),
    ).toBe('counted 7 to 9; touched one twice');
    expect(recordWords({ kind: 'give', asked: 4, given: 6 })).toBe(
      'gave 6 of 4; went on past the number asked',
    );
    expect(
      recordWords({ kind: 'add', addends: [5, 3], answer: 7, way: 'on', sentenceRight: null }),
    ).toMatch(/^answered 7; said 7 for 5 and 3: the first number was said again/);
    expect(recordWords({ kind: 'range', low: 10, high: 30, actual: 40 })).toBe(
      '10 to 30, and it was 40; at most 30, and it was 40',
    );
    expect(recordWords({ kind: 'catch', slip: 'leaves out six', caught: false })).toBe(
      'the puppet leaves out six: not caught',
    );
    expect(recordWords({ kind: 'guess', predicted: 9, actual: 12 })).toBe(
      'thought 9, and it was 12',
    );
    expect(recordWords({ kind: 'note', words: 'hums' })).toBe('hums');
  });

  it('can be read for every answer that a pad can take', () => {
    const setting = { languages: [{ tag: 'en', name: 'English' }] };
    for (const skill of SKILLS) {
      for (const item of skill.items) {
        const question = questionForItem(skill.id, item.id, ['speaks'])!;
        const records = padFor(question, null, setting)
          .flatMap((group) => group.keys)
          .flatMap((key) => key.next ?? []);
        for (const record of [question.right!, ...records]) {
          const words = recordWords(record);
          expect(/undefined|null|NaN|\[object/.test(words))
            .withContext(`${skill.id} ${item.id}: ${words}`)
            .toBeFalse();
        }
      }
    }
  });

  it('is silent where nothing was noted', () => {
    expect(recordWords({ kind: 'give', asked: 4, given: null })).toBe('');
    expect(recordWords({ kind: 'order', given: [2, 1], placed: [] })).toBe('');
    expect(recordWords({ kind: 'numeral', shown: 4, answer: null, way: 'spoken' })).toBe('');
  });
});
