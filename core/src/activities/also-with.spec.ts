import { emptyState } from '../evidence/index.js';
import { SKILLS } from '../skills/index.js';
import { creditsOf } from '../rounds/index.js';
import { knowing } from '../rounds/testing.js';
import { readySkills } from '../evidence/index.js';
import { aChild } from '../vocabulary/testing.js';
import { alsoWith } from './also-with.js';
import { LIBRARY, findActivity } from './library.js';

const TODAY = '2026-03-10';
const state = emptyState('c', 'balanced');
const toFive = knowing(SKILLS.filter(({ to }) => to > 0 && to <= 5).map(({ id }) => id));
const uses = (id: string): string[] => findActivity(id)!.needs.map(({ use }) => use);

describe('what else with what lies here', () => {
  it('needs nothing that is not out, is short, and serves a next step of a child', () => {
    const wanted = readySkills(state, TODAY).map(({ skillId }) => skillId);
    for (const played of LIBRARY) {
      const found = alsoWith(
        played,
        LIBRARY,
        [{ child: aChild({ birthDate: '2021-03-01' }), state }],
        TODAY,
      );
      expect(found.length).toBeLessThanOrEqual(2);
      for (const { activity, tops } of found) {
        expect(activity.id).not.toBe(played.id);
        expect(uses(played.id)).toEqual(jasmine.arrayContaining(uses(activity.id)));
        expect(activity.needs.length).toBeGreaterThan(0);
        expect(activity.minutes[0]).toBeLessThanOrEqual(5);
        expect(wanted.some((id) => creditsOf(activity).has(id))).toBeTrue();
        expect(tops.length).toBe(1);
      }
    }
  });

  it('is there after many a table game for a child who knows the numbers to five', () => {
    const table = LIBRARY.filter(({ band }) => band === 'table');
    const some = table.filter(
      (one) =>
        alsoWith(
          one,
          LIBRARY,
          [{ child: aChild({ birthDate: '2021-03-01' }), state: toFive }],
          TODAY,
        ).length > 0,
    );
    expect(some.length).toBeGreaterThan(table.length / 6);
  });

  it('takes what is printed for itself: dot plates are no plates, look-alikes no number cards', () => {
    const after = (id: string): string[] =>
      alsoWith(
        findActivity(id)!,
        LIBRARY,
        [{ child: aChild({ birthDate: '2021-03-01' }), state: toFive }],
        TODAY,
      ).map(({ activity }) => activity.id);
    for (const { id } of LIBRARY) {
      if (id !== 'match-look') expect(after(id)).withContext(id).not.toContain('match-look');
    }
    expect(after('two-plates')).not.toContain('dot-plates');
  });

  it('leaves out what a child at the table is too young for', () => {
    for (const played of LIBRARY) {
      const two = [{ child: aChild({ birthDate: '2023-09-01' }), state }];
      for (const { activity } of alsoWith(played, LIBRARY, two, TODAY)) {
        expect(activity.fromAge).toBeLessThanOrEqual(2.5);
      }
    }
  });
});
