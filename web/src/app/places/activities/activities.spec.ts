import { TestBed } from '@angular/core/testing';
import { LIBRARY } from '@gumo/core/activities';
import { SKILLS, matchSkills } from '@gumo/core/skills';
import { Place, aChild, aMaterial } from '../../testing/place';
import { Activities } from './activities';

const titles = (place: Place<Activities>): string[] => place.all('.list .title strong');
const young = aChild(1, 'Ilse', { birthDate: '2023-12-01' });
const old = aChild(2, 'Kofi');

describe('the list of activities', () => {
  it('shows the whole library, and says how many', async () => {
    const place = await Place.open(Activities);
    expect(titles(place).length).toBe(LIBRARY.length);
    expect(place.find('[role=status]').textContent).toContain(`${LIBRARY.length} activities`);
  });

  it('narrows by a kind of moment, and widens when it is tapped again', async () => {
    const place = await Place.open(Activities);
    await place.click('Table time');
    expect(titles(place).length).toBe(LIBRARY.filter((one) => one.band === 'table').length);
    await place.click('Table time');
    expect(titles(place).length).toBe(LIBRARY.length);
  });

  it('narrows by skill to those that serve it', async () => {
    const place = await Place.open(Activities);
    const skill = SKILLS.find((one) => one.id === 'bond-5')!;
    await place.fill(/^Skill/, skill.title);
    const serving = LIBRARY.filter((one) => matchSkills(one.skills).includes(skill.id));
    expect(titles(place).sort()).toEqual(serving.map((one) => one.title).sort());
    expect(place.text).toContain(`for “${skill.title}”`);
  });

  it('leaves out what is too hard for the youngest who is chosen', async () => {
    const place = await Place.open(Activities, { children: [young, old] });
    await place.click(/Ilse/);
    const fitting = LIBRARY.filter((one) => one.fromAge <= 2.25);
    expect(titles(place).length).toBe(fitting.length);
    expect(fitting.length).toBeLessThan(LIBRARY.length);
    await place.click(/Ilse/);
    await place.click(/Kofi/);
    expect(titles(place).length).toBeGreaterThan(fitting.length);
  });

  it('shows with what I have only where everything is listed and enough', async () => {
    const place = await Place.open(Activities, { children: [old] });
    await place.click('with what I have');
    const bare = titles(place).length;
    expect(bare).toBe(LIBRARY.filter((one) => one.needs.length === 0).length);
    TestBed.resetTestingModule();
    const stocked = await Place.open(Activities, {
      children: [old],
      materials: [
        aMaterial(3, 'felt discs', { count: 60 }),
        aMaterial(4, 'wooden bowl', { use: 'bowl', count: 4, shape: { kind: 'unknown' } }),
        aMaterial(5, 'plates', { use: 'plate', count: 8, shape: { kind: 'unknown' } }),
      ],
    });
    await stocked.click('with what I have');
    expect(titles(stocked).length).toBeGreaterThan(bare);
  });

  it('says that nothing fits, and shows all again', async () => {
    const place = await Place.open(Activities);
    const search = place.find<HTMLInputElement>('input[type=search]');
    search.value = 'submarine';
    search.dispatchEvent(new Event('input'));
    await place.settle();
    expect(titles(place)).toEqual([]);
    expect(place.text).toContain('No activity fits all of these filters.');
    await place.click('Show all again');
    expect(titles(place).length).toBe(LIBRARY.length);
  });
});
