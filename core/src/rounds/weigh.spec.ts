import { Table } from './testing.js';

describe('weighing against a mark', () => {
  it('waits for the prediction and the scale: neither is there before', () => {
    const { question } = new Table('divide-weigh', 10);
    expect(question.heard).toBeFalse();
    expect(question.right).toEqual(jasmine.objectContaining({ predicted: null, found: null }));
    expect(question.counts[0]!.skillId).toBe('divide-weight');
  });
});
