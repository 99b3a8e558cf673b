import { TestBed } from '@angular/core/testing';
import { type ChildState, emptyState, applyFact, triesOf } from '@gumo/core/evidence';
import { LIBRARY } from '@gumo/core/activities';
import { skillOf } from '@gumo/core/skills';
import { type Observation, type Session, type Material, newHousehold } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { ChildrenActions } from '../../state/children';
import { HouseholdActions } from '../../state/household';
import { Outbox } from '../../state/outbox';
import { RunActions, runFeature } from '../../state/run';
import { Place, TODAY, aChild, aMaterial, id } from '../../testing/place';
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

/** A session begun at 8:55, five minutes before the clock of these specs. */
async function begin(
  activityId: string,
  participants: Session['participants'],
  answers: Record<string, unknown> = {},
  materials: Material[] = [],
): Promise<Begun> {
  const session: Session = {
    id: id(50),
    activityId,
    planEntryId: null,
    day: TODAY,
    startedAt: new Date(`${TODAY}T08:55:00`).toISOString(),
    endedAt: null,
    mood: null,
    participants,
  };
  const outbox = {
    flush: () => Promise.resolve(),
    put: () => Promise.resolve(),
    waiting: () => Promise.resolve([]),
  };
  const place = await Place.open(Run, {
    children: [ilse, kofi, dilara],
    materials,
    inputs: { id: session.id },
    answers: { [`/sessions/${session.id}`]: { session, observations: [] }, ...answers },
    providers: [{ provide: Outbox, useValue: outbox }],
  });
  // Nothing is asked before it is there what is known of the child.
  expect(place.find('.ask').textContent).toContain('One moment');
  const store = TestBed.inject(Store);
  for (const { childId } of participants) {
    store.dispatch(
      RunActions.evidenceLoaded({ state: emptyState(childId, 'balanced'), speaks: true }),
    );
  }
  await place.settle();
  return { place, noted: () => store.selectSignal(runFeature.selectObservations)() };
}

/** A child whose adult says that this one is sure. */
function sureOf(childId: string, skillId: string): ChildState {
  const at = `${TODAY}T08:00:00.000Z`;
  const said = { says: 'secure' as const, note: '', notedBy: '' };
  const word = { id: id(60), childId, skillId, at, day: TODAY, ...said };
  const next = applyFact(emptyState(childId, 'balanced'), { kind: 'override', override: word });
  return 'state' in next ? next.state : emptyState(childId, 'balanced');
}

const press = async (place: Place<Run>, key: string): Promise<void> => {
  document.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
  await place.settle();
};
const alone = (child: { id: string }, top: number): Session['participants'] => [
  { childId: child.id, rangeMax: top },
];

/** The question that comes after the sentence that was told. */
const goOn = async (place: Place<Run>): Promise<void> => {
  if (place.element.querySelector('gumo-told')) await place.click('Continue');
};
const note = async (place: Place<Run>, outcome: string): Promise<void> => {
  await place.click(outcome);
  await goOn(place);
};

describe('at the tray', () => {
  afterEach(() => TestBed.resetTestingModule());

  it('says what to ask, shows what should lie there, and takes the expected answer in one tap', async () => {
    const { place, noted } = await begin('build-frame', alone(kofi, 5));
    expect(place.find('.sentence').textContent).toMatch(/on the frame/);
    expect(place.element.querySelectorAll('gumo-scene .cell').length).toBe(10);
    await place.click('On their own');
    expect(noted().length).toBe(1);
    expect(noted()[0]).toEqual(jasmine.objectContaining({ outcome: 'own', answered: 'shown' }));
    expect(noted()[0]!.record.kind).toBe('frame');
    expect(noted()[0]!.round).toEqual(jasmine.objectContaining({ kind: 'frame', part: 0 }));
    expect(place.find('.acknowledged').textContent).toMatch(/“.+”/);
    expect(place.all('gumo-so-far li').length).toBe(1);
    expect(place.find('gumo-told .whole').textContent).toMatch(/\w/);
  });

  it('takes a handful of eight in two taps, whatever range is on', async () => {
    const { place, noted } = await begin('handfuls', alone(kofi, 5));
    expect(place.find('.sentence').textContent).toContain('handful');
    expect(place.element.querySelector('gumo-outcome-bar'))
      .withContext('nothing is asked yet')
      .toBeNull();
    await place.click('8');
    await place.click('On their own');
    expect(noted()[0]!.record).toEqual(jasmine.objectContaining({ kind: 'count', n: 8 }));
    expect(noted()[0]!.round!.cameUp).toEqual([8]);
  });

  it('takes what two cards brought, says the sum, and tells the whole sentence', async () => {
    const { place, noted } = await begin('peg-rail', alone(kofi, 10));
    await place.click('6');
    await place.click('3');
    expect(place.find('.numbers [aria-pressed="true"]').textContent!.trim()).toBe('9');
    await place.click('On their own');
    expect(place.text).toContain('Six and three make nine.');
    expect(place.text).toContain('6 + 3 = 9');
    expect(noted()[0]!.record).toEqual(jasmine.objectContaining({ addends: [6, 3], answer: 9 }));
  });

  it('walks one whole through its ways, and lists those that were found', async () => {
    const { place, noted } = await begin('two-plates', alone(kofi, 3));
    for (let i = 0; i < 2; i++) await note(place, 'On their own');
    expect(place.all('gumo-ways-list li').length).toBe(2);
    await note(place, 'On their own');
    const wholes = noted().map(({ record }) => record.kind === 'bond' && record.whole);
    expect(new Set(wholes).size).toBe(1);
    expect(new Set(noted().map(({ round }) => round!.key)).size).toBe(3);
  });

  it('takes the number of the week of all, and a child’s own before it', async () => {
    for (const own of [null, 7]) {
      const { place, noted } = await begin('two-plates', alone(kofi, 10));
      const store = TestBed.inject(Store);
      store.dispatch(ChildrenActions.loaded({ children: [{ ...kofi, weekNumber: own }] }));
      const household = { ...newHousehold(id(99), 'Spindle Cottage'), weekNumber: 8 };
      store.dispatch(HouseholdActions.loaded({ household, activities: [...LIBRARY] }));
      await place.settle();
      await note(place, 'On their own');
      const { record } = noted()[0]!;
      expect(record.kind === 'bond' && record.whole).toBe(own ?? 8);
      TestBed.resetTestingModule();
    }
  });

  it('asks at once where the answer tapped speaks against the outcome', async () => {
    const { place, noted } = await begin('show-say', alone(kofi, 5));
    const expected = place.find('.numbers [aria-pressed="true"]').textContent!.trim();
    await place.click(String(Number(expected) - 1));
    await place.click('On their own');
    expect(noted().length).toBe(0);
    await place.click('Not yet, with this answer');
    expect(noted().at(-1)!.outcome).toBe('not-yet');
    expect(noted().at(-1)!.record).toEqual(
      jasmine.objectContaining({ answer: Number(expected) - 1 }),
    );
    expect(place.find('.slip strong').textContent).toMatch(/\w/);
    await goOn(place);
    await place.click('Not yet');
    expect(noted().at(-1)!.record)
      .withContext('untouched')
      .toEqual(jasmine.objectContaining({ answer: null }));
  });

  it('says how to go a step back once the same thing failed three times running', async () => {
    const { place, noted } = await begin('show-say', alone(kofi, 5));
    const said = (): string => place.element.querySelector('.slip')?.textContent ?? '';
    for (let i = 0; i < 3; i++) {
      expect(said()).not.toContain('Three times running');
      await note(place, 'With help');
    }
    expect(new Set(noted().map(({ skillId }) => skillId)).size).toBe(1);
    expect(said()).toContain('Three times running');
    expect(said()).toContain('or a smaller range');
    await note(place, 'On their own');
    expect(said()).not.toContain('Three times running');
  });

  it('keeps no choice that nobody made: on their own waits for the tap', async () => {
    const { place, noted } = await begin('between', alone(kofi, 10));
    await note(place, 'With help');
    while (!place.element.querySelector('.choices')) await note(place, 'With help');
    const before = noted().length;
    await place.click('On their own');
    expect(noted().length).toBe(before);
    await place.click('the same');
    await place.click('With help');
    expect(noted().length).toBe(before + 1);
  });

  it('keeps how the child answered and whether they could say why, for that try alone', async () => {
    const { place, noted } = await begin('build-frame', alone(kofi, 5));
    await place.click('fingers', '[role=radio]');
    await place.click('explained it');
    await note(place, 'On their own');
    expect(noted()[0]).toEqual(
      jasmine.objectContaining({ answered: 'fingers', reason: 'explained' }),
    );
    await place.click('With help');
    expect(noted()[1]).toEqual(jasmine.objectContaining({ answered: 'shown', reason: null }));
  });

  it('asks a child who points so that pointing answers it', async () => {
    const { place } = await begin('show-say', alone(dilara, 5));
    expect(place.find('.sentence').textContent).toMatch(/Show me the \w+/);
    expect(place.find('[role=radio][aria-checked="true"]', /pointed/)).toBeTruthy();
  });

  it('gives each child a range of their own, by turns unless it is switched off', async () => {
    const { place, noted } = await begin('build-frame', [
      { childId: kofi.id, rangeMax: 10 },
      { childId: dilara.id, rangeMax: 5 },
    ]);
    await place.click('Easier');
    expect(place.find('[role=radio]', /Kofi/).textContent).toContain('to 5');
    for (let i = 0; i < 4; i++) await note(place, 'With help');
    expect(noted().map((one) => one.childId)).toEqual([kofi.id, dilara.id, kofi.id, dilara.id]);
    await press(place, 'ArrowRight');
    expect(place.find('gumo-participants [aria-checked="true"]').textContent).toContain('Dilara');
    place.find('mat-slide-toggle button').click();
    await place.settle();
    for (let i = 0; i < 2; i++) await note(place, 'With help');
    expect(
      noted()
        .slice(-2)
        .map((one) => one.childId),
    ).toEqual([dilara.id, dilara.id]);
  });

  it('lets one of several children play another game with the same things', async () => {
    const { place, noted } = await begin('tiles-add', [
      { childId: kofi.id, rangeMax: 10 },
      { childId: dilara.id, rangeMax: 10 },
    ]);
    await place.click('Other game');
    const items = [...document.querySelectorAll<HTMLElement>('[mat-menu-item]')];
    expect(items.length).toBeGreaterThan(0);
    const title = items[0]!.textContent!.trim();
    items[0]!.click();
    await place.settle();
    expect(place.find('gumo-step-list h2').textContent).toBe(title);
    const other = LIBRARY.find((one) => one.title === title)!;
    await press(place, 'ArrowRight');
    expect(place.find('gumo-step-list h2').textContent).not.toBe(title);
    await press(place, 'ArrowLeft');
    while (place.element.querySelector('gumo-outcome-bar') === null) {
      await place.click('3', 'gumo-came-up .keys button');
    }
    await place.click('With help');
    expect(noted()[0]!.activityId).toBe(other.id);
  });

  it('takes no answer twice, however fast it is tapped: the next question has to stand first', async () => {
    const { place, noted } = await begin('show-say', alone(kofi, 10));
    const own = place.find('gumo-outcome-bar button', /On their own/);
    own.click();
    own.click();
    expect(noted().length).toBe(1);
    await place.settle();
    await goOn(place);
    await place.click('On their own');
    expect(noted().length).toBe(2);
  });

  it('works by keys alone: a number, an outcome, undone, and the end', async () => {
    const { place, noted } = await begin('show-say', alone(kofi, 10));
    await press(place, '1');
    await press(place, '0');
    expect(place.find('.numbers [aria-pressed="true"]').textContent!.trim()).toBe('10');
    await press(place, 'h');
    await press(place, 'Enter');
    await press(place, 'n');
    expect(noted().map((one) => one.outcome)).toEqual(['help', 'not-yet']);
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
    expect(document.body.textContent).toContain('How was it?');
  });

  it('keeps a turn of the adult’s own as what lay there, and as evidence of no one', async () => {
    const { place, noted } = await begin('two-plates', alone(kofi, 5));
    const first = place.find('.sentence').textContent;
    await place.click('My turn');
    expect(noted()[0]).toEqual(jasmine.objectContaining({ outcome: 'not-now', adultTurn: true }));
    expect(triesOf(noted()[0]!)).toEqual([]);
    expect(place.find('gumo-told .whole').textContent).toMatch(/\w/);
    await goOn(place);
    expect(place.find('.sentence').textContent).not.toBe(first);
  });

  it('opens with how it went the last time, until something is noted', async () => {
    const { place } = await begin('build-frame', alone(kofi, 5));
    const words = 'Last time this one was hard: make seven. Today we start with an easy one.';
    TestBed.inject(Store).dispatch(RunActions.lastTimeLoaded({ childId: kofi.id, words }));
    await place.settle();
    expect(place.find('.opening').textContent).toContain(words);
    await note(place, 'On their own');
    expect(place.element.querySelector('.opening')).toBeNull();
  });

  it('warms up at the table with what the child is sure of, as reviews outside the game', async () => {
    const { place, noted } = await begin('build-frame', alone(kofi, 5));
    expect(place.text).not.toContain('Warm up first');
    TestBed.inject(Store).dispatch(
      RunActions.evidenceLoaded({ state: sureOf(kofi.id, 'say-10'), speaks: true }),
    );
    await place.settle();
    await place.click('Warm up first: one question');
    await note(place, 'On their own');
    const [first] = noted();
    expect(first!.counts!.map(({ skillId }) => skillId)).toContain('say-5');
    expect(first!.round).toBeUndefined();
    await note(place, 'On their own');
    expect(noted()[1]!.round).toEqual(jasmine.objectContaining({ kind: 'frame' }));
  });

  it('lets each be worth ten: the same layout, answered in tens, never as bonds', async () => {
    const { place, noted } = await begin('peg-rail', alone(kofi, 10));
    place
      .find('mat-slide-toggle', /Each is worth ten/)
      .querySelector('button')!
      .click();
    await place.settle();
    await place.click('4');
    await place.click('2');
    await place.click('On their own');
    expect(place.text).toContain('60');
    const families = noted()[0]!.counts!.map(({ skillId }) => skillOf(skillId).family);
    expect(families).not.toContain('join');
    expect(families).not.toContain('bond');
  });

  it('keeps to the shortest cap at the table, and says when it is a good moment to stop', async () => {
    const pace = { reason: 'So it is.', restOn: null, earlier: false };
    const { place } = await begin(
      'build-frame',
      [
        { childId: kofi.id, rangeMax: 5 },
        { childId: dilara.id, rangeMax: 5 },
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
    const beads = aMaterial(70, 'glass beads', {
      shape: { kind: 'ball', diameterMm: 12 },
      count: 60,
    });
    const { place } = await begin('handfuls', alone(ilse, 3), {}, [
      beads,
      aMaterial(71, 'felt discs'),
    ]);
    expect(place.all('.caution p')[0]).toBe(
      'Glass beads stay in their boxes: small parts, and Ilse is in reach.',
    );
  });

  it('is silent where nothing applies to who is here and what is out', async () => {
    const { place } = await begin('handfuls', alone(ilse, 3), {}, [aMaterial(71, 'felt discs')]);
    expect(place.all('.caution')).toEqual([]);
  });

  it('lets a digit be written on the screen, and takes what was seen to the pad', async () => {
    const { place, noted } = await begin('digit-write', alone(kofi, 10));
    await place.click(/Write it on the screen/);
    const screen = place.element.querySelector('gumo-trace-screen')!;
    expect(screen.textContent).toContain('Back');
    // A line straight across is no digit; it is said, kept open, and marked as hard to read.
    const svg = screen.querySelector('gumo-trace-pad svg')!;
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
