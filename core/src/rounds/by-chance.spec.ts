import { Table } from './testing.js';

describe('what chance brings', () => {
  it('is the way that came up, and what has not come can be laid', () => {
    const table = new Table('shaken-tray', 5).pick(4).comesUp(1);
    expect(table.counts).toEqual(['bond-4/p1-3']);
    table.note();
    const { cameUp, ways } = table.question;
    expect(cameUp!.deal.map((one) => one.join('+'))).not.toContain('1+3');
    expect([ways!.found.length, ways!.of]).toEqual([1, 5]);
  });

  it('lists a way once, however often it comes', () => {
    const table = new Table('shaken-tray', 5).pick(4);
    for (const n of [1, 1, 2]) table.comesUp(n).note();
    expect(table.question.ways!.found.length).toBe(2);
  });

  it('has three rooms, whose last is what is not in the others', () => {
    const table = new Table('shaken-tray', 10, 1).pick(6).comesUp(1, 2);
    expect(table.question.lying).toEqual([1, 2, 3]);
    expect(table.counts).toEqual(['three-parts-10/n6']);
  });

  it('asks the youngest which room has more', () => {
    const table = new Table('shaken-tray', 3).pick(3).comesUp(2);
    expect(table.note().right?.kind).toBe('bond');
    const { question } = table.comesUp(2);
    expect(question.say).toMatch(/^Which room has (more|fewer), or are they the same\?$/);
    expect(question.heard).toBeFalse();
  });
});
