import { Table } from './testing.js';

const ten = (activity: string, top = 10, part = 0): Table =>
  new Table(activity, top, part, ['speaks'], [], { worthTen: true });

describe('each is worth ten', () => {
  it('keeps the layout and asks in tens: four and two make sixty', () => {
    const { question, counts } = ten('peg-rail').comesUp(4, 2);
    expect(question.lying).toEqual([4, 2]);
    expect(question.right).toEqual(jasmine.objectContaining({ addends: [40, 20], answer: 60 }));
    expect(question.sentence).toEqual(
      jasmine.objectContaining({ words: 'Forty and twenty make sixty.', sum: '40 + 20 = 60' }),
    );
    // Evidence for steps of ten as far as it went, and never for bonds.
    expect(counts).toEqual(['step-10/to-50']);
  });

  it('counts for the steps to a hundred only where a hundred is there, and below fifty for nothing', () => {
    expect(ten('peg-rail').comesUp(6, 4).counts).toEqual(['step-10/to-100']);
    expect(ten('peg-rail').comesUp(3, 1).counts).toEqual([]);
  });

  it('leaves more than ten things as they are, and other kinds of round too', () => {
    const more = ten('peg-rail').comesUp(6, 6).question;
    expect([more.right, more.worthTen]).toEqual([
      jasmine.objectContaining({ addends: [6, 6] }),
      false,
    ]);
    expect(ten('two-plates').question.worthTen).toBeNull();
  });

  it('is offered from a range of ten on', () => {
    expect(new Table('peg-rail', 5).comesUp(2, 2).question.worthTen).toBeNull();
    expect(new Table('peg-rail', 10).comesUp(2, 2).question.worthTen).toBeFalse();
  });

  it('tells one amount as so many tens', () => {
    const { question } = ten('frame-look');
    expect(question.right?.kind).toBe('add');
    expect(question.sentence?.words).toMatch(/ tens?: /);
  });
});
