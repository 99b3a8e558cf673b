import { ageWords, dayWords, listWords, topWords } from './words';

describe('words on screen', () => {
  it('tell an age in years and months, with one of each in the singular', () => {
    const age = (birthDate: string): string => ageWords({ birthDate }, '2026-03-10');
    expect(age('2022-01-10')).toBe('4 years 2 months');
    expect(age('2025-02-10')).toBe('1 year 1 month');
    expect(age('2023-03-10')).toBe('3 years');
    expect(age('2023-03-11')).toBe('2 years 11 months');
    expect(age('2025-07-01')).toBe('8 months');
    expect(age('2026-03-01')).toBe('newborn');
  });

  it('join a list as it is said', () => {
    expect(listWords([])).toBe('');
    expect(listWords(['kites'])).toBe('kites');
    expect(listWords(['kites', 'drums'])).toBe('kites and drums');
    expect(listWords(['kites', 'drums', 'snails'])).toBe('kites, drums and snails');
  });

  it('name a day by its weekday (10 March 2026 is a Tuesday)', () => {
    expect(dayWords('2026-03-10')).toBe('Tue 10 Mar');
    expect(topWords(10)).toBe('to 10');
  });
});
