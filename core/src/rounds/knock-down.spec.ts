import { Table } from './testing.js';

describe('cups that fall', () => {
  it('names the one that fell, adds two or three, and keeps more without a skill', () => {
    const fell = (...cups: number[]): string[] =>
      new Table('row-of-cups', 10).comesUp(...cups).counts;
    expect(fell(7)).toEqual(['name-10/n7']);
    expect(fell(5, 3, 1)).toEqual(['add-three-10/sum9']);
    expect(fell(7, 6, 5)).toEqual(['add-three-20/sum18']);
  });
});
