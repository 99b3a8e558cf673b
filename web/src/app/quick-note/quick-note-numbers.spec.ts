import type { Tried } from '@gumo/core/rounds';
import { skillOf } from '@gumo/core/skills';
import { Place } from '../testing/place';
import { QuickNoteNumbers } from './quick-note-numbers';

const opened = async (skillId: string, modes = ['speaks']) => {
  const place = await Place.open(QuickNoteNumbers, {
    inputs: { skillId, modes, languages: ['en'] },
  });
  const noted: Tried[] = [];
  place.fixture.componentInstance.noted.subscribe((one) => noted.push(one));
  const choose = async (item: string): Promise<void> => {
    const label = skillOf(skillId).items.find(({ id }) => id === item)!.label;
    await place.click(label, '.items button');
  };
  return { place, noted, choose };
};

describe('the numbers of a note', () => {
  it('are asked for one item of the skill, which is chosen first', async () => {
    const { place, choose } = await opened('give-5');
    const labels = skillOf('give-5').items.map(({ label }) => label);
    expect(place.all('.items button').every((label) => labels.includes(label))).toBeTrue();
    expect(place.element.querySelector('gumo-outcome-bar')).toBeNull();
    await choose('n4');
    expect(place.element.querySelector('gumo-answer-pad')).not.toBeNull();
    expect(place.all('gumo-outcome-bar button').length).toBe(4);
  });

  it('are noted as what the child gave, with how it went', async () => {
    const { place, noted, choose } = await opened('give-5');
    await choose('n4');
    await place.click('4', 'gumo-answer-pad button');
    await place.click('On their own');
    expect(noted.length).toBe(1);
    expect(noted[0]!.outcome).toBe('own');
    expect(noted[0]!.record).toEqual(
      jasmine.objectContaining({ kind: 'give', asked: 4, given: 4 }),
    );
  });

  it('are not yet right where the answer is a wrong one, whatever was tapped', async () => {
    const { place, noted, choose } = await opened('give-5');
    await choose('n4');
    await place.click('3', 'gumo-answer-pad button');
    await place.click('On their own');
    expect(noted.map(({ outcome }) => outcome)).toEqual(['not-yet']);
    expect(noted[0]!.record).toEqual(jasmine.objectContaining({ given: 3 }));
  });

  it('begin anew with another skill', async () => {
    const { place, choose } = await opened('give-5');
    await choose('n4');
    place.fixture.componentRef.setInput('skillId', 'give-10');
    await place.settle();
    expect(place.element.querySelector('gumo-answer-pad')).toBeNull();
    expect(place.all('h3')).toEqual([skillOf('give-10').title]);
  });
});
