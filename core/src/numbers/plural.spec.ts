import { counted, joinWords, plural, timesWords } from './index.js';

// Unicode CLDR plural rules for English, cardinal: "one" is 1 without decimals, everything else is "other".
describe('plurals', () => {
  it('are one for one, and other for none, more and parts', () => {
    const said = [0, 1, 2, 10, 1.5].map((n) => plural(n, 'child is', 'children are'));
    expect(said).toEqual([
      'children are',
      'child is',
      'children are',
      'children are',
      'children are',
    ]);
    expect([0, 1, 2, 10].map((n) => counted(n, 'try', 'tries'))).toEqual([
      '0 tries',
      '1 try',
      '2 tries',
      '10 tries',
    ]);
    expect([1, 2].map(timesWords)).toEqual(['once', '2 times']);
  });
});

describe('a list of names', () => {
  it('is said for none, one, two and three', () => {
    expect(joinWords([])).toBe('');
    expect(joinWords(['Ilse'])).toBe('Ilse');
    expect(joinWords(['Ilse', 'Kofi'])).toBe('Ilse and Kofi');
    expect(joinWords(['Ilse', 'Kofi', 'Mirela'])).toBe('Ilse, Kofi and Mirela');
  });
});
