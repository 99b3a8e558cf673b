import { Table } from './testing.js';

describe('numeral and amount', () => {
  it('are put together both ways, and count for the way that was asked', () => {
    const table = new Table('sticker-cards', 5);
    const forms = new Set([0, 1, 2].map(() => table.note().itemId!.replace(/^n\d-/, '')));
    expect([...forms].every((form) => form === 'amount' || form === 'numeral')).toBeTrue();
    expect(table.question.right?.kind).toBe('numeral');
  });

  it('shows one number in its many faces', () => {
    const { question } = new Table('forms-wall', 10);
    expect(question.say).toBe('Which number is this?');
    expect(question.counts[0]!.skillId).toBe('forms-10');
    expect(question.scene).not.toBeNull();
  });

  it('asks for what lies there: strips and pegs, dot cards, stickers and prints', () => {
    const said = (activity: string, questions = 2): string[] => {
      const table = new Table(activity, 5);
      return Array.from({ length: questions }, () => table.note().say);
    };
    expect(said('clip-cards', 4).join()).toMatch(/Clip its number.*strip|strip.*Clip its number/);
    expect(said('clip-cards', 4).join()).not.toContain('Bring');
    expect(said('sticker-cards').join()).toContain('Stick as many stickers');
    expect(said('press-count').join()).toContain('Press as many prints');
    const pairs = new Table('pair-cards', 10);
    for (let i = 0; i < 8; i++) expect(pairs.note().say).not.toContain('Bring');
  });
});
