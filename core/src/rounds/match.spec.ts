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
});
