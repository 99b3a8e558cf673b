import { TestBed } from '@angular/core/testing';
import { emptyState } from '@gumo/core/evidence';
import type { Observation, Sitting, Thing } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { Outbox } from '../../state/outbox';
import { RunActions, runFeature } from '../../state/run';
import { Place, TODAY, aChild, aThing, id } from '../../testing/place';
import { Run } from './run';

const ilse = aChild(1, 'Ilse', {
  birthDate: '2024-01-10',
  cautions: { mouths: true, allergies: [], note: '' },
});
const kofi = aChild(2, 'Kofi');
const dilara = aChild(3, 'Dilara', { answerModes: ['points'] });

interface Begun {
  readonly place: Place<Run>;
  /** What was noted so far, first to last. */
  noted(): readonly Observation[];
}

/** A sitting begun at 8:55, five minutes before the clock of these specs. */
async function begin(
  activityId: string,
  takers: Sitting['takers'],
  answers: Record<string, unknown> = {},
  things: Thing[] = [],
): Promise<Begun> {
  const sitting: Sitting = {
    id: id(50),
    activityId,
    planEntryId: null,
    day: TODAY,
    startedAt: new Date(`${TODAY}T08:55:00`).toISOString(),
    endedAt: null,
    mood: null,
    takers,
  };
  const outbox = {
    flush: () => Promise.resolve(),
    put: () => Promise.resolve(),
    waiting: () => Promise.resolve([]),
  };
  const place = await Place.open(Run, {
    children: [ilse, kofi, dilara],
    things,
    inputs: { id: sitting.id },
    answers: { [`/sittings/${sitting.id}`]: { sitting, observations: [] }, ...answers },
    providers: [{ provide: Outbox, useValue: outbox }],
  });
  const store = TestBed.inject(Store);
  for (const { childId } of takers) {
    store.dispatch(RunActions.evidenceLoaded({ state: emptyState(childId, 'middle') }));
  }
  await place.settle();
  return { place, noted: () => store.selectSignal(runFeature.selectObservations)() };
}

const press = async (place: Place<Run>, key: string): Promise<void> => {
  document.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
  await place.settle();
};
const alone = (child: { id: string }, top: number): Sitting['takers'] => [
  { childId: child.id, top },
];

describe('at the tray', () => {
  afterEach(() => TestBed.resetTestingModule());

  it('says what to ask, shows what should lie there, and takes the expected answer in one tap', async () => {
    const { place, noted } = await begin('build-frame', alone(kofi, 5));
    expect(place.find('.sentence').textContent).toMatch(/Put \w+ on the frame/);
    expect(place.element.querySelectorAll('gumo-scene .cell').length).toBe(10);
    await place.click('On own');
    expect(noted().length).toBe(1);
    expect(noted()[0]).toEqual(jasmine.objectContaining({ outcome: 'own', answered: 'shown' }));
    expect(noted()[0]!.record.kind).toBe('frame');
    expect(place.find('.acknowledged').textContent).toMatch(/“.+”/);
    expect(place.all('gumo-so-far li').length).toBe(1);
  });

  it('names the slip at once with one thing to try, and never notes a wrong answer as on own', async () => {
    const { place, noted } = await begin('show-say', alone(kofi, 5));
    const record = (): Observation['record'] => noted().at(-1)!.record;
    const expected = place.find('.numbers [aria-pressed="true"]').textContent!.trim();
    await place.click(String(Number(expected) - 1));
    await place.click('On own');
    expect(noted().length).toBe(0);
    await place.click('Not yet');
    expect(record()).toEqual(jasmine.objectContaining({ answer: Number(expected) - 1 }));
    expect(place.find('.slip strong').textContent).toMatch(/\w/);
    expect(place.all('.slip')[0]!.length).toBeGreaterThan(20);
    await place.click('On own');
    expect(place.element.querySelector('.slip')).toBeNull();
  });

  it('keeps how the child answered and whether it could say why, for that try alone', async () => {
    const { place, noted } = await begin('handfuls', alone(kofi, 5));
    await place.click('fingers', '[role=radio]');
    await place.click('explained it');
    await place.click('On own');
    expect(noted()[0]).toEqual(
      jasmine.objectContaining({ answered: 'fingers', reason: 'explained' }),
    );
    await place.click('With help');
    expect(noted()[1]).toEqual(jasmine.objectContaining({ answered: 'spoken', reason: null }));
  });

  it('asks a child who points so that pointing answers it, among few', async () => {
    const { place } = await begin('show-say', alone(dilara, 5));
    expect(place.find('.sentence').textContent).toMatch(/Show me the \w+/);
    expect(place.element.querySelectorAll('.numbers button').length).toBe(5);
    expect(place.find('[role=radio][aria-checked="true"]').textContent).toContain('pointed');
  });

  it('gives each child a range and a queue of its own, by turns where wished', async () => {
    const { place, noted } = await begin('handfuls', [
      { childId: kofi.id, top: 10 },
      { childId: dilara.id, top: 5 },
    ]);
    await place.click('Easier');
    expect(place.find('[role=tab]', /Kofi/).textContent).toContain('to 5');
    expect(place.find('[role=tab]', /Dilara/).textContent).toContain('to 5');
    await place.click('by turns');
    for (let i = 0; i < 4; i++) await place.click('With help');
    expect(noted().map((one) => one.childId)).toEqual([kofi.id, dilara.id, kofi.id, dilara.id]);
    await press(place, 'ArrowRight');
    expect(place.find('[aria-selected="true"]').textContent).toContain('Dilara');
  });

  it('takes no answer twice, however fast it is tapped: the next question has to stand first', async () => {
    const { place, noted } = await begin('show-say', alone(kofi, 10));
    const own = place.find('gumo-outcome-bar button', /On own/);
    own.click();
    own.click();
    expect(noted().length).toBe(1);
    await place.settle();
    own.click();
    expect(noted().length).toBe(2);
    await place.settle();
  });

  it('works by keys alone: a number, an outcome, taken back, and the end', async () => {
    const { place, noted } = await begin('show-say', alone(kofi, 10));
    await press(place, '1');
    await press(place, '0');
    expect(place.find('.numbers [aria-pressed="true"]').textContent!.trim()).toBe('10');
    await press(place, 'n');
    await press(place, 'H');
    expect(noted().map((one) => one.outcome)).toEqual(['not-yet', 'help']);
    await press(place, 'Backspace');
    expect(place.all('gumo-so-far li').length).toBe(1);
    await press(place, ' ');
    expect(place.find('.picture').textContent).toContain('Picture hidden');
    await press(place, ' ');
    await press(place, 'f');
    expect(place.element.querySelector('gumo-to-the-child')).not.toBeNull();
    await press(place, 'o');
    expect(noted().length).withContext('nothing is noted behind the picture').toBe(2);
    await press(place, 'Escape');
    await press(place, 'e');
    expect(place.text).toContain('How was it?');
    await press(place, 'Escape');
    expect(place.text).not.toContain('How was it?');
  });

  it('keeps to the shortest cap at the table, and says when it is a good moment to stop', async () => {
    const pace = { reason: 'So it is.', restOn: null, earlier: false };
    const { place } = await begin(
      'build-frame',
      [
        { childId: kofi.id, top: 5 },
        { childId: dilara.id, top: 5 },
      ],
      {
        [`/children/${kofi.id}/pace`]: { ...pace, minutes: 7 },
        [`/children/${dilara.id}/pace`]: { ...pace, minutes: 3 },
      },
    );
    expect(place.find('.time').textContent).toContain('5 of 3 min');
    expect(place.find('.time').textContent).toContain('a good moment to stop');
  });

  it('warns where small parts would meet a child who must not', async () => {
    const beads = aThing(70, 'glass beads', { shape: { kind: 'ball', diameterMm: 12 }, count: 60 });
    const { place } = await begin('handfuls', alone(ilse, 3), {}, [
      beads,
      aThing(71, 'felt discs'),
    ]);
    expect(place.all('.caution p')[0]).toBe(
      'Glass beads stay in their boxes: small parts, and Ilse is in reach.',
    );
  });

  it('is silent where nothing applies to who is here and what is out', async () => {
    const { place } = await begin('handfuls', alone(ilse, 3), {}, [aThing(71, 'felt discs')]);
    expect(place.all('.caution')).toEqual([]);
  });

  it('says so where the sitting cannot be had', async () => {
    const place = await Place.open(Run, {
      inputs: { id: id(60) },
      answers: { [`/sittings/${id(60)}`]: { nothing: true } },
      providers: [
        {
          provide: Outbox,
          useValue: { flush: () => Promise.resolve(), waiting: () => Promise.resolve([]) },
        },
      ],
    });
    expect(place.text).toContain('This sitting cannot be opened');
  });

  it('lets a digit be written on the screen, and takes what was seen to the pad', async () => {
    const { place, noted } = await begin('digit-write', alone(kofi, 10));
    await place.click(/Write it on the screen/);
    const screen = place.element.querySelector('gumo-trace-screen')!;
    expect(screen.textContent).toContain('Back');
    // A line straight across is no digit; it is said, kept open, and marked as hard to read.
    const svg = screen.querySelector('svg')!;
    svg.setPointerCapture = () => undefined;
    const { left, top, width, height } = svg.getBoundingClientRect();
    const fire = (type: string, part: number): void => {
      const at = { clientX: left + width * part, clientY: top + height / 2, bubbles: true };
      svg.dispatchEvent(new PointerEvent(type, at));
    };
    for (let stroke = 0; stroke < 2; stroke++) {
      fire('pointerdown', 0.2);
      for (let i = 3; i < 8; i++) fire('pointermove', i / 10);
      fire('pointerup', 0.8);
    }
    await place.settle();
    await place.click('Take it to the pad');
    expect(place.element.querySelector('gumo-trace-screen')).toBeNull();
    await press(place, 'n');
    const record = noted().at(-1)!.record;
    expect(record?.kind === 'draw' && record.readable).toBeFalse();
  });
});
