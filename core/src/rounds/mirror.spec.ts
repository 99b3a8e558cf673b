import { Table } from './testing.js';

describe('mirrors', () => {
  it('count their pictures with the thing itself', () => {
    const table = new Table('mirror-hinge', 5).comesUp(3, 4);
    expect(table.question.sentence!.words).toBe('You see four, the thing itself among them.');
    expect(table.counts).toEqual(['mirror-see/hinged']);
  });

  it('say what opens when a paper is cut on its fold', () => {
    expect(new Table('fold-cut', 5).question.say).toMatch(/opens|fold/i);
  });
});
