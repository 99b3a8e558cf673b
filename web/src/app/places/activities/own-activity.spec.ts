import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import { findActivity } from '@gumo/core/activities';
import type { OwnActivity, Song } from '@gumo/core/vocabulary';
import { ApiProblem } from '../../common/api';
import { Place, id } from '../../testing/place';
import { OwnActivityForm } from './own-activity';
import { Songbook } from './songbook';

const ours: OwnActivity = {
  ...findActivity('two-plates')!,
  id: id(30),
  title: 'Two leaves',
  archived: false,
  version: 4,
};

describe('an activity of one’s own', () => {
  const open = (inputs: object, refusal?: ApiProblem) =>
    Place.open(OwnActivityForm, {
      inputs: { ...inputs },
      answers: { '/activities/own': [ours] },
      ...(refusal ? { refusal } : {}),
    });

  it('names the field that is missing, and loses nothing', async () => {
    const place = await open({});
    await place.fill(/^Watch for/, 'Both hands');
    await place.submit();
    expect(place.find('mat-form-field', /^Title/).textContent).toContain('Must not be empty.');
    expect(place.find('[role=alert]').textContent).toContain('Name at least one skill.');
    expect(place.find('mat-form-field', /^Watch for/).querySelector('input')!.value).toBe(
      'Both hands',
    );
    expect(place.sent).toEqual([]);
  });

  it('is copied whole from a built-in one, under a name of its own', async () => {
    const source = findActivity('counters-under')!;
    const place = await open({ from: source.id });
    const went = spyOn(TestBed.inject(Router), 'navigate').and.resolveTo(true);
    await place.submit();
    const body = place.sent[0]!.body as OwnActivity;
    expect(place.sent[0]!.method).toBe('POST');
    expect(body.title).toBe(`${source.title} (ours)`);
    expect(body.id).not.toBe(source.id);
    for (const field of ['steps', 'needs', 'skills', 'minutes', 'cautions', 'easier'] as const) {
      expect(body[field]).withContext(field).toEqual(source[field]);
    }
    expect(went).toHaveBeenCalledOnceWith(['/activities', body.id]);
  });

  it('shows what a quantity comes to, to five and to ten', async () => {
    const place = await open({ from: 'counters-under' });
    // 1 + ... + 5 = 15 and 1 + ... + 10 = 55 (own arithmetic); the larger is what is laid out.
    expect(place.all('.sum').join(' ')).toContain('55');
  });

  it('changes with its version, and is put away and brought back', async () => {
    const place = await open({ id: ours.id });
    spyOn(TestBed.inject(Router), 'navigate').and.resolveTo(true);
    await place.fill(/^Title/, 'Two big leaves');
    await place.submit();
    expect(place.sent[0]).toEqual({
      method: 'PUT',
      path: `/activities/own/${ours.id}`,
      body: jasmine.objectContaining({ title: 'Two big leaves', version: 4, archived: false }),
    });
    await place.click('Archive');
    expect((place.sent[1]!.body as OwnActivity).archived).toBeTrue();
  });

  it('leaves steps without words out, and takes steps and needs away', async () => {
    const place = await open({ id: ours.id });
    spyOn(TestBed.inject(Router), 'navigate').and.resolveTo(true);
    const steps = ours.steps.length;
    await place.click(/A step/);
    await place.click(/Remove step 1$/);
    await place.submit();
    const body = place.sent[0]!.body as OwnActivity;
    expect(body.steps).toEqual(ours.steps.slice(1));
    expect(body.steps.length).toBe(steps - 1);
  });

  it('says what the server found wrong, by its field', async () => {
    const refusal = new ApiProblem(422, 'Wrong', [{ field: 'skills.0', message: 'is no skill' }]);
    const place = await open({ id: ours.id }, refusal);
    await place.submit();
    expect(place.find('[role=alert]').textContent).toContain('skills.0 is no skill');
  });

  it('says so where there is none such', async () => {
    const place = await open({ id: id(77) });
    expect(place.find('[role=alert]').textContent).toContain('There is no such activity');
  });
});

describe('the songbook', () => {
  const song: Song = {
    id: id(40),
    title: 'Five snails',
    direction: 'down',
    from: 5,
    to: 0,
    words: 'Five snails sat on a wall',
    version: 2,
  };
  const open = () => Place.open(Songbook, { answers: { '/songs': [song] } });

  it('shows each song with which way it counts', async () => {
    const place = await open();
    expect(place.text).toContain('Five snails');
    expect(place.text).toContain('down from 5 to 0');
  });

  it('takes a new one, and names what is wrong with it', async () => {
    const place = await open();
    await place.click(/A song/);
    await place.submit();
    expect(place.all('mat-error')).toEqual(['Must not be empty.']);
    await place.fill(/^Title/, 'Ten drums');
    await place.fill(/^It counts/, 'up');
    await place.fill(/^from/, '1');
    await place.fill(/^to/, '10');
    await place.submit();
    expect(place.sent.length).toBe(1);
    expect(place.sent[0]!.body).toEqual(
      jasmine.objectContaining({ title: 'Ten drums', direction: 'up', from: 1, to: 10 }),
    );
  });

  it('changes and takes out with the version', async () => {
    const place = await open();
    await place.click(/Change Five snails/);
    await place.fill(/^Your own words/, 'Five snails slid');
    await place.submit();
    expect(place.sent[0]!.method).toBe('PUT');
    await place.click(/Change Five snails/);
    await place.click('Remove');
    expect(place.sent[1]).toEqual({
      method: 'DELETE',
      path: `/songs/${song.id}?version=2`,
      body: undefined,
    });
  });
});
