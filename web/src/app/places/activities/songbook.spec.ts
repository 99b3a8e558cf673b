import { MatSnackBarHarness } from '@angular/material/snack-bar/testing';
import type { Song } from '@gumo/core/vocabulary';
import { ApiProblem } from '../../common/api';
import { Unsaved } from '../../common/forms';
import { TestBed } from '@angular/core/testing';
import { Place, id } from '../../testing/place';
import { Songbook } from './songbook';

const snails: Song = {
  id: id(5),
  title: 'Snails on the wall',
  direction: 'down',
  from: 5,
  to: 0,
  words: 'Five slow snails upon the wall.',
  version: 2,
};
const open = (songs: readonly Song[] = [snails], refusal?: ApiProblem) =>
  Place.open(Songbook, { answers: { '/songs': songs }, ...(refusal && { refusal }) });
const faults = (place: Place<Songbook>): string[] => place.all('mat-error');

describe('the songbook', () => {
  it('lists the songs, each with where it counts from and to', async () => {
    const place = await open();
    expect(place.all('.songs h2')).toEqual(['Snails on the wall']);
    expect(place.all('.songs .soft')).toEqual(['down from 5 to 0']);
  });

  it('says what will stand there in an empty one', async () => {
    expect((await open([])).text).toContain('The songs you sing will appear here');
  });

  it('takes a song down', async () => {
    const place = await open([]);
    await place.click(/A song/);
    await place.fill(/^Title/, 'Kites in the air');
    await place.fill(/^It counts/, 'up');
    await place.fill(/^from/, '1');
    await place.fill(/^to/, '9');
    await place.fill(/own words/, 'One kite, two kites');
    await place.submit();
    const [sent] = place.sent;
    expect([sent!.method, sent!.path]).toEqual(['POST', '/songs']);
    const { title, direction, from, to, words, version } = sent!.body as Song;
    expect({ title, direction, from, to, words, version }).toEqual({
      title: 'Kites in the air',
      direction: 'up',
      from: 1,
      to: 9,
      words: 'One kite, two kites',
      version: 1,
    });
    expect(place.element.querySelector('form')).toBeNull();
  });

  it('says under the field what is wrong, and sends nothing', async () => {
    const place = await open();
    await place.click('Change Snails on the wall');
    await place.fill(/^Title/, ' ');
    await place.fill(/^from/, '-1');
    await place.submit();
    expect(faults(place)[0]).toBe('Must not be empty.');
    expect(faults(place).length).toBeGreaterThan(1);
    expect(place.sent).toEqual([]);
  });

  it('puts what the server refused under its field', async () => {
    const refusal = new ApiProblem(422, 'wrong', [
      { field: 'to', message: 'must not be above from' },
    ]);
    const place = await open([], refusal);
    await place.click(/A song/);
    await place.fill(/^Title/, 'Kites');
    await place.submit();
    expect(faults(place)).toEqual(['Must not be above from.']);
    expect(place.find<HTMLInputElement>('[formcontrolname=title]').value).toBe('Kites');
  });

  it('knows while something is written that is not kept', async () => {
    const place = await open();
    const unsaved = TestBed.inject(Unsaved);
    await place.click('Change Snails on the wall');
    expect(unsaved.any()).toBe(false);
    await place.fill(/^Title/, 'Slugs');
    expect(unsaved.any()).toBe(true);
    await place.click('Cancel');
    expect(unsaved.any()).toBe(false);
  });

  it('takes a song out, and brings it back on “Undo”', async () => {
    const place = await open();
    await place.click('Change Snails on the wall');
    await place.click('Remove');
    expect(place.sent.at(-1)).toEqual({
      method: 'DELETE',
      path: `/songs/${snails.id}?version=2`,
      body: undefined,
    });
    const bar = await place.loader.getHarness(MatSnackBarHarness);
    expect(await bar.getMessage()).toBe('Snails on the wall was removed.');
    await bar.dismissWithAction();
    await place.settle();
    expect(place.sent.at(-1)).toEqual({ method: 'POST', path: '/songs', body: snails });
  });
});
