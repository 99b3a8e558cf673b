import { ChangeDetectionStrategy, Component } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { MatSnackBarHarness } from '@angular/material/snack-bar/testing';
import { Place, id } from '../testing/place';
import { ApiProblem } from './api';
import { Undo } from './undo';

@Component({ template: '', changeDetection: ChangeDetectionStrategy.OnPush })
class Nothing {}

const SONG = { id: id(4), title: 'Kites', version: 3 };

describe('what was removed', () => {
  const opened = async (refusal?: ApiProblem) => {
    const place = await Place.open(Nothing, { ...(refusal && { refusal }) });
    const seen: boolean[] = [];
    const undo = TestBed.inject(Undo);
    const remove = () =>
      undo.remove('/songs', SONG, 'Kites was removed.', (isBack) => seen.push(isBack));
    return { place, seen, remove, undo };
  };

  it('is put back whole, as it was, when that is undone', async () => {
    const { place, seen, remove } = await opened();
    await remove();
    expect(seen).toEqual([false]);
    const bar = await place.loader.getHarness(MatSnackBarHarness);
    expect(await bar.getMessage()).toBe('Kites was removed.');
    await bar.dismissWithAction();
    await place.settle();
    expect(place.sent).toEqual([
      { method: 'DELETE', path: `/songs/${SONG.id}?version=3`, body: undefined },
      { method: 'POST', path: '/songs', body: SONG },
    ]);
    expect(seen).toEqual([false, true]);
  });

  it('offers nothing where it was not removed', async () => {
    const { place, seen, remove } = await opened(new ApiProblem(409, 'Somebody changed it.'));
    await expectAsync(remove()).toBeRejectedWithError('Somebody changed it.');
    expect(seen).toEqual([]);
    expect(await place.loader.getHarnessOrNull(MatSnackBarHarness)).toBeNull();
  });

  it('says why it could not be put back', async () => {
    const { place, undo } = await opened();
    undo.offer('Kites was removed.', () =>
      Promise.reject(new Error('The server does not answer.')),
    );
    await (await place.loader.getHarness(MatSnackBarHarness)).dismissWithAction();
    await place.settle();
    const bar = await place.loader.getHarness(MatSnackBarHarness);
    expect(await bar.getMessage()).toBe('The server does not answer.');
  });
});
