import { TestBed } from '@angular/core/testing';
import { ApiProblem } from '../../common/api';
import { Place } from '../../testing/place';
import { DayMoments } from './day-moments';
import { Records } from './records';
import { TableImport } from './table-import';

const backup = (day: string, kind = 'daily') => ({
  name: `gumo-${day}-${kind}.db`,
  kind,
  day,
  at: `${day}T09-20-00-000Z`,
  bytes: 2_500_000,
});
/** A file as a person would pick it. */
async function pick<T>(place: Place<T>, label: RegExp, name: string, text: string): Promise<void> {
  const input = place.find<HTMLInputElement>('input[type=file]', label);
  const files = new DataTransfer();
  const file = new File([text], name);
  files.items.add(file);
  input.files = files.files;
  input.dispatchEvent(new Event('change'));
  // The place has read its file once we have read ours, which was asked for later.
  await file.text();
  await place.settle();
  await place.settle();
}

describe('records', () => {
  afterEach(() => TestBed.resetTestingModule());
  const open = (notice = '', more: object = {}): Promise<Place<Records>> =>
    Place.open(Records, {
      answers: {
        '/records/backups': {
          backups: [backup('2026-03-10'), backup('2026-03-09', 'before')],
          notice,
          folder: '/home/gumo/backups',
          gumo: '0.16.0',
        },
      },
      ...more,
    });

  it('name their copies and a notice, and take none back before it is said twice', async () => {
    const place = await open('The last good backup of the records is 4 days old.', {
      replies: {
        'POST /records/backups/gumo-2026-03-10-daily.db/restore': { before: 'x' },
      },
    });
    expect(place.find('[role=alert]').textContent).toContain('4 days old');
    expect(place.all('section ul strong')[0]).toContain('Tue 10 Mar');
    await place.click(/^Restore the backup of Tue 10 Mar/);
    expect(place.sent).toEqual([]);
    await place.click('Restore it');
    expect(place.sent.map((one) => one.path)).toEqual([
      '/records/backups/gumo-2026-03-10-daily.db/restore',
    ]);
    expect(place.find('[role=status]').textContent).toContain('saved as a backup');
  });

  it('bring a household in only when it is said that it takes the place of this one', async () => {
    const place = await open('', {
      replies: {
        'POST /records/household?replace=1': {
          before: 'x',
          counts: {},
          leftOut: { count: 1, words: ['A try of Ilse: day is in the future.'] },
        },
      },
    });
    await pick(place, /A household file/, 'home.json', '{"format":"gumo-household"}');
    expect(place.element.textContent).toContain('home.json takes the place of');
    await place.click('Import it');
    expect(place.sent[0]!.body).toBe('{"format":"gumo-household"}');
    expect(place.all('section li')).toContain('A try of Ilse: day is in the future.');
  });

  it('say what went wrong, and stay', async () => {
    const place = await open('', { refusal: new ApiProblem(507, 'No copy could be made.') });
    await place.click('Back up now');
    expect(place.find('[role=alert]').textContent).toContain('No copy could be made.');
    expect(place.all('section ul strong').length).toBeGreaterThan(1);
  });
});

describe('a table that comes in', () => {
  afterEach(() => TestBed.resetTestingModule());
  const said = {
    header: ['who', 'date'],
    mapping: { child: 'who', day: 'date' },
    added: 1,
    known: 2,
    refused: 1,
    rows: [
      { row: 2, what: 'new', words: 'Juno' },
      { row: 3, what: 'refused', words: 'outcome: “maybe”' },
    ],
  };

  it('is first only looked at; a column can be chosen; then it is kept', async () => {
    const place = await Place.open(TableImport, {
      replies: { 'POST /records/observations': said },
    });
    await pick(place, /A table of tries/, 't.csv', 'who,date\nJuno,2026-03-10');
    const body = (at: number) => place.sent.at(at)!.body as Record<string, unknown>;
    expect([body(-1)['dry'], body(-1)['mapping']]).toEqual([true, null]);
    expect(place.element.textContent).toContain('1 would come in');
    expect(place.all('li.refused')[0]).toContain('maybe');
    await place.fill(/^skill/, 'who');
    expect(body(-1)['mapping']).toEqual({ child: 'who', day: 'date', skill: 'who' });
    await place.click('Import 1');
    expect(body(-1)['dry']).toBeFalse();
    expect(place.find('[role=status]').textContent).toContain('1 came in.');
  });
});

describe('the household’s day', () => {
  afterEach(() => TestBed.resetTestingModule());

  it('is changed moment by moment, sorted by time, and kept as a whole', async () => {
    const place = await Place.open(DayMoments);
    await place.click('A moment');
    await place.fill(/^Moment 7$/, 'Rest');
    await place.click('Fri');
    await place.settle();
    await place.submit();
    const body = place.sent[0]!.body as {
      openDays: number[];
      moments: { name: string; time: string }[];
    };
    expect(body.openDays).toEqual([1, 2, 3, 4]);
    const times = body.moments.map((one) => one.time);
    expect(times).toEqual([...times].sort());
    expect(body.moments.map((one) => one.name)).toContain('Rest');
  });

  it('names the moment that has no name or no activities', async () => {
    const place = await Place.open(DayMoments);
    await place.click('A moment');
    await place.submit();
    expect(place.all('mat-error')).toEqual(['Must not be empty.']);
    expect(place.sent).toEqual([]);
  });
});
