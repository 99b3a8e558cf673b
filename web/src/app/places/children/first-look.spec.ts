import { emptyState, levelsByAge } from '@gumo/core/evidence';
import { STRANDS } from '@gumo/core/skills';
import { ageOn } from '@gumo/core/vocabulary';
import type { OutboxEntry } from '@gumo/core/contract';
import { Outbox } from '../../state/outbox';
import { Place, TODAY, aChild } from '../../testing/place';
import { FirstLook } from './first-look';

const dilara = aChild(3, 'Dilara', { birthDate: '2022-03-01' });
let parcels: OutboxEntry[];

async function open(): Promise<Place<FirstLook>> {
  parcels = [];
  const outbox = {
    put: async (parcel: OutboxEntry) => void parcels.push(parcel),
    flush: async () => undefined,
  };
  const place = await Place.open(FirstLook, {
    children: [dilara],
    inputs: { id: dilara.id },
    answers: { [`/children/${dilara.id}/evidence`]: emptyState(dilara.id, 'balanced') },
    providers: [{ provide: Outbox, useValue: outbox }],
  });
  await place.settle();
  return place;
}
const kinds = (): string[] => parcels.map((one) => one.kind);
const press = async (place: Place<FirstLook>, key: string): Promise<void> => {
  document.dispatchEvent(new KeyboardEvent('keydown', { key }));
  await place.settle();
};

describe('a first look', () => {
  it('starts with pegs by age, one a strand', async () => {
    const place = await open();
    const pegs = [...place.element.querySelectorAll<HTMLInputElement>('input[type=range]')];
    const { years, months } = ageOn(dilara.birthDate, TODAY);
    const byAge = levelsByAge(years * 12 + months);
    expect(pegs.map((one) => Number(one.value))).toEqual(STRANDS.map((strand) => byAge[strand]));
  });

  it('keeps the pegs and the session as facts, then asks one thing', async () => {
    const place = await open();
    await place.click('Start');
    expect(kinds()).toEqual(['placement', 'session']);
    const [pegs] = parcels;
    if (pegs?.kind !== 'placement') throw new Error('no pegs');
    expect(pegs.placement.byAge).toBeTrue();
    expect(place.element.querySelectorAll('input[type=range]').length).toBe(0);
  });

  it('says that a peg was moved by hand', async () => {
    const place = await open();
    const peg = place.find<HTMLInputElement>('input[type=range]');
    peg.value = '2';
    for (const event of ['input', 'change']) peg.dispatchEvent(new Event(event));
    await place.settle();
    await place.click('Start');
    const [pegs] = parcels;
    expect(pegs?.kind === 'placement' && pegs.placement.byAge).toBeFalse();
    expect(pegs?.kind === 'placement' && pegs.placement.levels[STRANDS[0]!]).toBe(2);
  });

  it('notes by keys, never the same skill twice running, and takes back the last', async () => {
    const place = await open();
    await place.click('Start');
    for (const key of ['o', 'o', 'n']) await press(place, key);
    const noted = parcels.flatMap((one) => (one.kind === 'observation' ? [one.observation] : []));
    expect(noted.map((one) => one.outcome)).toEqual(['own', 'own', 'not-yet']);
    noted.forEach((one, i) => expect(one.skillId).not.toBe(noted[i - 1]?.skillId ?? ''));
    await press(place, 'Backspace');
    const last = parcels.at(-1);
    expect(last?.kind === 'voiding' && last.voiding.observationId).toBe(noted[2]!.id);
  });

  it('asks fifteen at most in a session, then says what was found', async () => {
    const place = await open();
    await place.click('Start');
    for (let i = 0; i < 20; i++) await press(place, 'o');
    expect(kinds().filter((kind) => kind === 'observation').length).toBe(15);
    expect(kinds().at(-1)).toBe('end');
    expect(place.text).toMatch(/assumed/i);
  });

  it('stops anywhere', async () => {
    const place = await open();
    await place.click('Start');
    await press(place, 'o');
    await press(place, 'e');
    expect(kinds()).toEqual(['placement', 'session', 'observation', 'end']);
  });
});
