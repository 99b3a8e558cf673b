import { ApiProblem } from '../../../common/api';
import { Api } from '../../../common/api';
import { Place, id } from '../../../testing/place';
import { DetailsTab } from './details-tab';

const none = { asked: 0, own: 0, last: null };
const seen = (own: number, asked: number) => ({ asked, own, last: 'own' as const });
const numeral = (n: number, more: object = {}) => ({
  n,
  named: none,
  matched: none,
  ordered: none,
  missing: none,
  written: none,
  takenFor: [],
  ...more,
});
const open = (tab: string, data: unknown) =>
  Place.open(DetailsTab, {
    inputs: { id: id(1), tab },
    answers: { [`/children/${id(1)}/details/${tab}`]: data },
  });
/** A number that an element of a drawing carries. */
const numberOf = (element: Element, name: string): number => Number(element.getAttribute(name));
const rowsOf = (place: Place<DetailsTab>): string[][] =>
  [...place.element.querySelectorAll('tbody tr, tr[mat-row]')].map((row) =>
    [...row.querySelectorAll('td')].map((cell) =>
      (cell.textContent ?? '').replace(/\s+/g, ' ').trim(),
    ),
  );

describe('the details of a child', () => {
  it('say of every numeral what is done with it, and what it is taken for', async () => {
    const place = await open('numerals', [
      numeral(6, { named: seen(8, 11), takenFor: [{ n: 9, times: 2 }] }),
      numeral(9, { takenFor: [{ n: 6, times: 1 }] }),
    ]);
    const [six, nine] = rowsOf(place);
    expect(six![0]).toBe('6');
    expect(six![1]).toContain('8 of 11 on their own');
    expect(six![2]).toContain('not asked yet');
    expect(six![6]).toBe('9 2 times');
    expect(nine![6]).toBe('6 once');
  });

  it('say of every way to make a number whether it was made, and made with a part hidden', async () => {
    const place = await open('bonds', [
      { whole: 4, cells: [{ part: 1, made: seen(1, 1), hidden: seen(2, 3) }] },
    ]);
    const [four] = rowsOf(place);
    expect(four![0]).toBe('4');
    expect(four![2]).toContain('1 and 3, made');
    expect(four![2]).toContain('1 of 1 on their own');
    expect(four![2]).toContain('2 of 3 on their own');
    // Four has no part of five.
    expect(four![6]).toBe('');
  });

  it('put every pair that was compared at its place', async () => {
    const place = await open('comparing', [
      { larger: 5, smaller: 3, materials: seen(2, 2), numerals: none },
    ]);
    const five = rowsOf(place)[5]!;
    expect(five[0]).toBe('5');
    expect(five[4]).toContain('5 and 3, things');
    expect(five[4]).toContain('2 of 2 on their own');
    expect(five.filter((words) => words.includes('things')).length).toBe(1);
  });

  it('name the shortest look that was enough', async () => {
    const place = await open('glancing', [
      { number: 4, picture: 'dice', seen: seen(3, 3), seconds: 2 },
      { number: 5, picture: 'scatter', seen: seen(0, 1), seconds: null },
    ]);
    expect(rowsOf(place)[3]![2]).toContain('2 s');
    expect(rowsOf(place)[4]![4]).toContain('0 of 1 on their own');
    expect(rowsOf(place)[4]![4]).not.toContain('null');
  });

  it('say how a digit is written, once and several times', async () => {
    const digit = (n: number, reversed: number, startedLow: number) => ({
      digit: n,
      seen: seen(1, 4),
      reversed,
      startedLow,
      lately: [{ day: '2026-03-09', support: 'dotted', outcome: 'help' }],
    });
    const place = await open('writing', [digit(3, 1, 2), digit(5, 2, 1), digit(7, 0, 0)]);
    const [three, five, seven] = place.all('li');
    expect(three).toContain('turned round once');
    expect(three).toContain('started low 2 times');
    expect(three).toContain('Mon 9 Mar · dotted');
    expect(five).toContain('turned round 2 times');
    expect(five).toContain('started low once');
    expect(seven).not.toContain('turned round');
  });

  it('draw how far the words go, each day at its height, with what was left out', async () => {
    const reach = (day: string, to: number, furthest: number, leftOut: number[] = []) => ({
      day,
      language: 'en',
      reach: to,
      forgiven: to,
      furthest,
      asked: 20,
      leftOut,
    });
    const place = await open('saying', {
      reaches: [
        reach('2026-03-01', 5, 5),
        reach('2026-03-05', 15, 15, [13]),
        // Two counts of one day stand as one point, at the farther of them.
        reach('2026-03-09', 8, 15),
        reach('2026-03-09', 10, 15),
      ],
      leftOut: [{ n: 13, times: 2, last: '2026-03-05' }],
      others: [
        { day: '2026-03-05', direction: 'down', from: 10, reach: 4 },
        { day: '2026-03-06', direction: 'up', from: 6, reach: null },
      ],
    });
    const circles = [...place.element.querySelectorAll('circle')];
    const [first, second, third] = circles.map((one) => numberOf(one, 'cy'));
    expect(circles.length).toBe(3);
    // The scale is even from nothing to twenty: a step of five words is the same everywhere.
    expect(first! - second!).toBeCloseTo(2 * (first! - third!), 6);
    expect(circles.map((one) => numberOf(one, 'cx'))).toEqual(
      circles.map((one) => numberOf(one, 'cx')).sort((a, b) => a - b),
    );
    expect(place.element.querySelectorAll('.cross').length).toBe(1);
    expect(place.text).toContain('left out 13');
    expect(place.text).toContain('13 2 times · last on Thu 5 Mar');
  });

  it('draw the ranges of the jar beside what was counted', async () => {
    const place = await open('measuring', {
      ranges: [
        { day: '2026-03-01', low: 5, high: 15, actual: 12, leaning: 0 },
        { day: '2026-03-08', low: 10, high: 20, actual: 26, leaning: -1 },
      ],
      inside: 1,
      hint: 'The jar held more than was thought.',
      guesses: [{ day: '2026-03-01', at: 'jar', low: 5, high: 15, actual: 12 }],
      weighed: [
        { day: '2026-03-02', right: 3, surprises: 1 },
        { day: '2026-03-03', right: 2, surprises: 0 },
      ],
      lines: [
        { day: '2026-03-04', what: 'ribbon', predicted: '', found: '1 cube', off: '' },
        {
          day: '2026-03-05',
          what: 'shelf',
          predicted: '4 cubes',
          found: '7 cubes',
          off: '3 too few',
        },
      ],
    });
    expect(place.find<HTMLImageElement>('.guesses').src).toContain('svg');
    expect(place.find<HTMLAnchorElement>('a', /Print the drawing/).href).toContain('/guesses/');
    expect(place.text).toContain('Inside 1 of 2 times. The jar held more than was thought.');
    const bars = [...place.element.querySelectorAll('rect')];
    expect(bars.map((one) => one.classList.contains('out'))).toEqual([false, true]);
    // Both ranges are ten wide.
    expect(numberOf(bars[0]!, 'height')).toBeCloseTo(numberOf(bars[1]!, 'height'), 6);
    const dots = [...place.element.querySelectorAll('circle')];
    expect(numberOf(dots[1]!, 'cy')).toBeLessThan(numberOf(bars[1]!, 'y'));
    expect(place.text).toContain('Mon 2 Mar: 3 as predicted, one surprise');
    expect(place.text).toContain('Tue 3 Mar: 2 as predicted');
    // The newest comes first.
    expect(place.all('tbody tr').map((one) => one.replace(/\s+/g, ' '))).toEqual([
      'Thu 5 Mar shelf 4 cubes 7 cubes 3 too few',
      'Wed 4 Mar ribbon 1 cube',
    ]);
  });

  it('tell a habit from what happened once, and what helps', async () => {
    const weeks = ['2026-02-23', '2026-03-02', '2026-03-09'];
    const place = await open('slips', {
      weeks,
      kinds: [
        {
          code: 'skipped',
          times: 6,
          last: '2026-03-09',
          skillId: 'touch-10',
          byWeek: [0, 2, 4],
        },
        { code: 'recount', times: 1, last: '2026-03-02', skillId: 'total-5', byWeek: [0, 1, 0] },
      ],
    });
    const items = [...place.element.querySelectorAll('li')];
    expect(items.map((one) => one.classList.contains('rare'))).toEqual([false, true]);
    expect(items[0]!.textContent).toContain('6 times');
    expect(items[1]!.textContent).toContain('once');
    const [two, four] = [...items[0]!.querySelectorAll('rect')].map((one) =>
      numberOf(one, 'height'),
    );
    expect(four! / two!).toBeCloseTo(2, 6);
    expect(place.text).toContain('2 in the week of Mon 2 Mar, 4 in the week of Mon 9 Mar');
  });

  it('say what will stand there where nothing was noted yet', async () => {
    const saying = await open('saying', { reaches: [], leftOut: [], others: [] });
    expect(saying.text).toContain('How far the words go, day by day, will appear here');
    expect(saying.text).toContain('No word was left out.');
    expect(saying.element.querySelector('svg')).toBeNull();
  });

  it('say so where the server does not answer', async () => {
    const place = await Place.open(DetailsTab, {
      inputs: { id: id(1), tab: 'slips' },
      providers: [
        {
          provide: Api,
          useValue: { get: () => Promise.reject(new ApiProblem(500, 'It stands still.')) },
        },
      ],
    });
    expect(place.find('[role=alert]').textContent).toContain('It stands still.');
  });
});
