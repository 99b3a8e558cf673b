import fc from 'fast-check';
import { SKILLS } from '../skills/index.js';
import { ANSWERED, OUTCOMES, REASONS } from '../vocabulary/index.js';
import { aTry } from '../vocabulary/testing.js';
import {
  NEEDED_COLUMNS,
  TRY_COLUMNS,
  type TryColumn,
  isTryProblem,
  likelyMapping,
  tryOfRow,
  tryRow,
} from './index.js';

const CHILD = '00000000-0000-4000-8000-000000000002';
const ID = '00000000-0000-4000-8000-000000000100';
const CHILDREN = new Map([['wren', CHILD]]);
const words: Partial<Record<TryColumn, string>> = {
  child: 'Wren',
  day: '2026-03-10',
  skill: 'touch-5',
  outcome: 'on their own',
};
const read = (cells: Partial<Record<TryColumn, string>>) =>
  tryOfRow(
    (column) => cells[column] ?? '',
    CHILDREN,
    () => ID,
  );
const problemOf = (more: Partial<Record<TryColumn, string>>) => {
  const found = read({ ...words, ...more });
  if (!isTryProblem(found)) throw new Error('a try, and no problem');
  return found;
};

describe('a table of tries', () => {
  it('comes back as it went out, whatever a try holds', () => {
    const skill = fc.constantFrom(...SKILLS.filter(({ items }) => items.length > 0));
    fc.assert(
      fc.property(
        skill.chain((one) =>
          fc.record({
            skillId: fc.constant(one.id),
            itemId: fc.option(fc.constantFrom(...one.items.map(({ id }) => id))),
          }),
        ),
        fc.constantFrom(...OUTCOMES),
        fc.boolean(),
        fc.option(fc.constantFrom(...ANSWERED)),
        fc.option(fc.constantFrom(...REASONS)),
        fc.constantFrom('', 'said it twice', 'a comma, a “quote” and; a semicolon'),
        ({ skillId, itemId }, outcome, triedFirst, answered, reason, note) => {
          const one = aTry({
            id: ID,
            childId: CHILD,
            sessionId: null,
            activityId: 'handfuls',
            skillId,
            itemId,
            outcome,
            triedFirst,
            answered,
            reason,
            note,
            record: { kind: 'note', words: note },
          });
          const row = tryRow(one, 'Wren');
          expect(Object.keys(row)).toEqual([...TRY_COLUMNS]);
          expect(read(row)).toEqual(one);
        },
      ),
    );
  });

  it('needs no more than who, when, what and how', () => {
    expect(NEEDED_COLUMNS).toEqual(['child', 'day', 'skill', 'outcome']);
    expect(read({ ...words, note: 'at the tub' })).toEqual(
      aTry({
        id: ID,
        childId: CHILD,
        sessionId: null,
        activityId: null,
        skillId: 'touch-5',
        itemId: null,
        at: '2026-03-10T12:00:00.000Z',
        answered: null,
        note: 'at the tub',
        record: { kind: 'note', words: 'at the tub' },
      }),
    );
  });

  it('reads outcomes as people write them', () => {
    for (const [written, outcome] of [
      ['own', 'own'],
      ['Yes', 'own'],
      ['WITH HELP', 'help'],
      ['not yet', 'not-yet'],
      ['no', 'not-yet'],
      ['Not now', 'not-now'],
    ]) {
      const found = read({ ...words, outcome: written! });
      expect(isTryProblem(found) ? found.message : found.outcome)
        .withContext(written!)
        .toBe(outcome!);
    }
  });

  it('says of which column a row is wrong, and how', () => {
    for (const [more, column, message] of [
      [{ child: 'Nobody' }, 'child', '“Nobody” is not a child of this household'],
      [{ outcome: 'maybe' }, 'outcome', /“maybe” is none of/],
      [{ skill: 'juggling' }, 'skill', '“juggling” is not in the skill map'],
      [{ item: 'n99' }, 'item', '“n99” is not an item of touch-5'],
      [{ day: '10.3.2026' }, 'day', '“10.3.2026” is not a day like 2026-03-10'],
      [{ day: '2026-02-30' }, 'day', /is not a day/],
      [{ record: '{not json' }, 'record', 'cannot be read'],
      [{ record: '{"kind":"nothing"}' }, 'record', /./],
      [{ at: 'this morning' }, 'at', /./],
      [{ answered: 'sung' }, 'answered', /./],
      [{ id: 'seven' }, 'id', /./],
      [{ session: 'yesterday’s' }, 'session', /./],
    ] as const) {
      const found = problemOf(more);
      expect(found.column).withContext(JSON.stringify(more)).toBe(column);
      expect(found.message).toMatch(message);
    }
  });

  it('gives a row without an id one that follows from what it says', () => {
    const asked: string[] = [];
    const ids = (text: string): string => (asked.push(text), ID);
    const at = (more: Partial<Record<TryColumn, string>>) =>
      tryOfRow((column) => ({ ...words, ...more })[column] ?? '', CHILDREN, ids);
    at({});
    at({});
    at({ note: 'again' });
    at({ id: ID });
    expect(asked.length).toBe(3);
    expect(asked[0]).toBe(asked[1]!);
    expect(asked[2]).not.toBe(asked[0]!);
  });

  it('finds the columns of a table from elsewhere by their usual names', () => {
    const found = likelyMapping(['Name', 'DATE ', 'Skill ID', 'Result', 'Comment', 'weather']);
    expect(found).toEqual(
      jasmine.objectContaining({
        child: 'Name',
        day: 'DATE ',
        skill: 'Skill ID',
        outcome: 'Result',
        note: 'Comment',
        item: null,
      }),
    );
    // Our own name goes before another one.
    expect(likelyMapping(['name', 'child']).child).toBe('child');
  });
});
