import type { Household as Settings } from '@gumo/core/vocabulary';
import { MatSelectHarness } from '@angular/material/select/testing';
import { ApiProblem } from '../../common/api';
import { Place } from '../../testing/place';
import { Preferences } from './preferences';
import { DayMoments } from './day-moments';

const choices = (place: Place<Preferences>, title: string): string[] =>
  [...place.find(`[aria-label="${title}"]`).querySelectorAll('[aria-checked=true]')].map(
    (one) => one.textContent?.trim() ?? '',
  );
async function choose(place: Place<Preferences>, title: string, words: string): Promise<void> {
  const all = place.find(`[aria-label="${title}"]`).querySelectorAll<HTMLElement>('button');
  [...all].find((one) => one.textContent?.trim() === words)!.click();
  await place.settle();
}

describe('the household’s choices', () => {
  it('stand with exactly one chosen in each', async () => {
    const place = await Place.open(Preferences);
    const groups = [...place.element.querySelectorAll('[role=radiogroup]')];
    expect(groups.length).toBeGreaterThan(8);
    for (const group of groups) {
      expect(group.querySelectorAll('[aria-checked=true]').length)
        .withContext(group.getAttribute('aria-label') ?? '')
        .toBe(1);
    }
    expect(place.find<HTMLButtonElement>('button', 'Save').disabled).toBeTrue();
  });

  it('are changed one by one and kept together', async () => {
    const place = await Place.open(Preferences);
    await choose(place, 'Filling a ten frame', 'pairs downwards');
    await choose(place, 'Table time a week', '4');
    await choose(place, 'The 4', 'closed');
    const weekly = await place.loader.getHarness(
      MatSelectHarness.with({ selector: '[aria-label="Number of the week"]' }),
    );
    await weekly.clickOptions({ text: '7' });
    await choose(place, 'Against the clock', 'yes');
    expect(choices(place, 'Filling a ten frame')).toEqual(['pairs downwards']);
    await place.submit();
    const body = place.sent[0]!.body as Settings;
    expect([place.sent[0]!.method, place.sent[0]!.path]).toEqual(['PUT', '/household']);
    expect([body.frameFill, body.tablePerWeek, body.digitForms.four, body.againstClock]).toEqual([
      'pairs',
      4,
      'closed',
      true,
    ]);
    expect(body.weekNumber).toBe(7);
    expect(place.find('[role=status]').textContent).toContain('Saved.');
  });

  it('take the household’s own words for each digit, once it says so', async () => {
    const place = await Place.open(Preferences);
    expect(place.element.querySelectorAll('.own input').length).toBe(0);
    await choose(place, 'Saying how a digit is written', 'our own words');
    const fields = [...place.element.querySelectorAll<HTMLInputElement>('.own input')];
    expect(fields.length).toBe(10);
    // They begin with the words that were said so far.
    expect(fields[0]!.value).toBe('over, down, round and up, and stop');
    await place.fill(/^While writing 7/, 'over the roof and down the slide');
    await place.submit();
    const body = place.sent[0]!.body as Settings;
    expect(body.digitCue).toBe('own');
    expect(body.digitWords?.[7]).toBe('over the roof and down the slide');
  });

  it('need a name, and say so beside it', async () => {
    const place = await Place.open(Preferences);
    await place.fill(/^Name/, '  ');
    await place.submit();
    expect(place.find('mat-form-field', /^Name/).textContent).toContain('Must not be empty.');
    expect(place.sent).toEqual([]);
  });

  it('stay on screen when another device was first', async () => {
    const place = await Place.open(Preferences, { refusal: new ApiProblem(409, 'outdated') });
    await choose(place, 'Paper', 'Letter');
    await place.submit();
    expect(place.find('[role=alert]').textContent).toContain('outdated');
    expect(choices(place, 'Paper')).toEqual(['Letter']);
  });
});

describe('the household’s day', () => {
  it('takes closed days, in order, and names the one that ends before it begins', async () => {
    const place = await Place.open(DayMoments);
    await place.click(/Closed days/);
    await place.fill(/First closed day/, '2026-04-06');
    await place.fill(/Last closed day/, '2026-04-03');
    await place.fill(/What for/, 'Spring break');
    await place.submit();
    expect(place.all('mat-error')).toEqual(['Must not be before the first day.']);
    expect(place.sent).toEqual([]);
    await place.fill(/Last closed day/, '2026-04-10');
    await place.submit();
    expect((place.sent[0]!.body as Settings).closures).toEqual([
      { from: '2026-04-06', to: '2026-04-10', name: 'Spring break' },
    ]);
  });
});
