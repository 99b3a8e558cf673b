import { readFileSync } from 'node:fs';
import { HouseholdFile, shiftTo } from '@gumo/core/exchange';
import { ageOn } from '@gumo/core/vocabulary';
import * as v from 'valibot';

const file = new URL('../../../demo/spindle-cottage.json', import.meta.url);
const generator = new URL('../../../demo/generate.mjs', import.meta.url);

describe('the demo household', () => {
  const text = readFileSync(file, 'utf8');
  const demo = v.parse(HouseholdFile, JSON.parse(text));

  it('is what its generator makes from the fixed seed', async () => {
    const { generate } = (await import(generator.href)) as { generate: () => unknown };
    expect(generate()).toEqual(JSON.parse(text));
  });

  it('is moved whole to the day it is loaded on', () => {
    const moved = shiftTo(demo, '2027-01-15');
    const spans = [demo, moved].map((one) => ageOn(one.children[0]!.birthDate, one.day));
    expect(spans[0]).toEqual(spans[1]);
    expect(moved.plan[0]!.day).toBe('2027-01-15');
    expect(moved.observations[0]!.at.slice(0, 10)).toBe(moved.observations[0]!.day);
  });
});
