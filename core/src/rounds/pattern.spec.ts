import { Table } from './testing.js';

describe('patterns', () => {
  it('lay a wrong piece of the pattern itself where the mistake is to be found', () => {
    const table = new Table('copy-next', 5, 1);
    const found = Array.from({ length: 4 }, () => table.note()).find(
      ({ skillId }) => skillId === 'pattern-fix',
    );
    const colors = new Set(found?.scene?.pieces.map((one) => one.color));
    expect(colors.size).toBeLessThanOrEqual(2);
  });

  it('go on only from two whole units', () => {
    const table = new Table('pattern-tray', 5);
    for (let n = 0; n < 6; n++) {
      const { right, skillId } = table.note();
      if (skillId === 'pattern-next' && right?.kind === 'pattern') {
        expect(right.shown).toBe(2 * right.unit.length);
      }
    }
  });
});
