import { MANIPULATIVES } from '../handling/index.js';
import { LIBRARY, findActivity } from './library.js';
import { activitiesOn, onScreen } from './on-screen.js';

describe('an activity on the screen', () => {
  it('is done with the thing that it lies on the table with', () => {
    const ids = (id: string): string[] => onScreen(findActivity(id)!).map((one) => one.id);
    expect(ids('two-plates')).toEqual(['plates']);
    expect(ids('bead-string')).toEqual(['beads']);
    expect(ids('jar-range')).toEqual(['jar']);
    expect(ids('one-fewer-bag')).toEqual(['track']);
  });

  it('leads there and back: whatever names a thing is named by it', () => {
    for (const activity of LIBRARY) {
      for (const { place, id } of onScreen(activity)) {
        expect(activitiesOn(place, id).map((one) => one.id))
          .withContext(`${activity.id} ${id}`)
          .toContain(activity.id);
      }
    }
  });

  it('names only manipulatives that there are', () => {
    const known = new Set(MANIPULATIVES.map((one) => one.id));
    const named = LIBRARY.flatMap(onScreen).filter((one) => one.place === 'manipulatives');
    expect(named.length).toBeGreaterThan(30);
    expect(named.filter((one) => !known.has(one.id))).toEqual([]);
  });
});
