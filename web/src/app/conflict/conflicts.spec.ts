import { TestBed } from '@angular/core/testing';
import { MAT_DIALOG_DATA, MatDialog, MatDialogRef } from '@angular/material/dialog';
import * as v from 'valibot';
import { ApiProblem } from '../common/api';
import { Writes } from '../state/writes';
import { Place } from '../testing/place';
import { Conflicts } from './conflicts';
import { ConflictDialog } from './conflict-dialog';

const Row = v.object({ version: v.number(), name: v.string(), box: v.string() });
type Row = v.InferOutput<typeof Row>;
const base: Row = { version: 1, name: 'discs', box: 'box 1' };
const late = (current: Row): ApiProblem => new ApiProblem(409, 'outdated', [], current);

describe('keeping what another device changed too', () => {
  let sent: Row[];
  let answers: (ApiProblem | null)[];
  let conflicts: Conflicts;

  beforeEach(() => {
    sent = [];
    answers = [];
    const send = async (_method: string, _path: string, body: Row): Promise<Row> => {
      sent.push(body);
      const answer = answers.shift();
      if (answer) throw answer;
      return { ...body, version: body.version + 1 };
    };
    TestBed.configureTestingModule({
      providers: [
        { provide: Writes, useValue: { send } },
        { provide: MatDialog, useValue: {} },
      ],
    });
    conflicts = TestBed.inject(Conflicts);
  });
  const put = (mine: Row) =>
    conflicts.put('/materials/1', Row, {
      base,
      mine,
      what: 'discs',
      words: { name: 'What it is' },
    });

  it('puts two changes together where they touch different fields, and asks nothing', async () => {
    answers = [late({ ...base, version: 2, box: 'box 7' })];
    const kept = await put({ ...base, name: 'cork discs' });
    expect(kept).toEqual({ version: 3, name: 'cork discs', box: 'box 7' });
    expect(sent.map((row) => row.version)).toEqual([1, 2]);
  });

  it('shows both sides where they clash, and keeps what was chosen', async () => {
    const asked = spyOn(conflicts, 'ask').and.resolveTo({ name: 'here' });
    answers = [late({ version: 2, name: 'pegs', box: 'box 7' })];
    const kept = await put({ ...base, name: 'cork discs' });
    expect(asked.calls.mostRecent().args[1]).toEqual([
      { field: 'name', name: 'What it is', here: 'cork discs', there: 'pegs' },
    ]);
    expect(kept).toEqual({ version: 3, name: 'cork discs', box: 'box 7' });
  });

  it('keeps nothing where nothing was chosen', async () => {
    spyOn(conflicts, 'ask').and.resolveTo(null);
    answers = [late({ ...base, version: 2, name: 'pegs' })];
    expect(await put({ ...base, name: 'cork discs' })).toBeNull();
    expect(sent.length).toBe(1);
  });

  it('says so where the row is gone, and where others never cease', async () => {
    answers = [new ApiProblem(404, 'There is no such thing.')];
    await expectAsync(put(base)).toBeRejectedWithError('There is no such thing.');
    answers = Array.from({ length: 6 }, (_, i) =>
      late({ ...base, version: 2 + i, box: `box ${i}` }),
    );
    await expectAsync(put({ ...base, name: 'x' })).toBeRejectedWithError('outdated');
  });
});

describe('the two sides', () => {
  it('are both shown, and nothing is kept before each is settled', async () => {
    const close = jasmine.createSpy();
    const clash = { field: 'name', name: 'Name', here: 'Wrenna', there: 'Wrennie' };
    const place = await Place.open(ConflictDialog, {
      providers: [
        { provide: MAT_DIALOG_DATA, useValue: { what: 'Wren', clashes: [clash] } },
        { provide: MatDialogRef, useValue: { close } },
      ],
    });
    const keep = place.find<HTMLButtonElement>('button', 'Save');
    expect(keep.disabled).toBeTrue();
    expect(place.all('.value')).toEqual(['Wrenna', 'Wrennie']);
    await place.click(/on the other device/, 'label');
    expect(keep.disabled).toBeFalse();
    await place.click('Save');
    expect(close).toHaveBeenCalledOnceWith({ name: 'there' });
  });
});
