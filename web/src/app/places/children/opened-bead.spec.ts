import { type Observation, type EducatorOverride } from '@gumo/core/vocabulary';
import type { SeenObservation, SkillView } from '@gumo/core/contract';
import { Outbox } from '../../state/outbox';
import { Place, TODAY, aChild, id } from '../../testing/place';
import { OpenedBead } from './opened-bead';

const kofi = aChild(2, 'Kofi');
const view = (more: Partial<SkillView> = {}): SkillView => ({
  skillId: 'give-5',
  status: 'nearly',
  mark: null,
  computed: 'nearly',
  reason: 'Seven of nine on their own, on two days.',
  change: 'Four and five on their own on one more day would settle it.',
  scored: 9,
  own: 7,
  days: 2,
  lastSeen: '2026-03-09',
  due: null,
  override: null,
  items: [
    { itemId: 'n5', label: 'five', asked: 0, own: 0, last: null },
    { itemId: 'n4', label: 'four', asked: 3, own: 2, last: 'own' },
  ],
  ...more,
});
const observation = (n: number, given: number, outcome: Observation['outcome']): Observation => ({
  id: id(n),
  childId: kofi.id,
  sessionId: null,
  activityId: null,
  skillId: 'give-5',
  itemId: 'n4',
  at: `2026-03-09T09:00:0${n - 60}.000Z`,
  day: '2026-03-09',
  outcome,
  triedFirst: true,
  answered: null,
  reason: null,
  materials: [],
  notedBy: '',
  note: '',
  record: { kind: 'give', asked: 4, given },
});
const seen = (one: Observation, voided = false): SeenObservation => ({
  seq: 1,
  observation: one,
  voided,
});

async function open(
  shown: SkillView,
  evidence: SeenObservation[] = [],
  past = false,
): Promise<{ place: Place<OpenedBead>; put: jasmine.Spy }> {
  const put = jasmine.createSpy('put').and.resolveTo();
  const place = await Place.open(OpenedBead, {
    children: [kofi],
    inputs: { childId: kofi.id, view: shown, statuses: new Map(), past },
    answers: {
      [`/children/${kofi.id}/observations`]: { observations: evidence, next: null },
    },
    providers: [{ provide: Outbox, useValue: { put } }],
  });
  await place.settle();
  return { place, put };
}

describe('an opened bead', () => {
  it('says why it is filled as it is, what would change that, and what was not asked', async () => {
    const { place } = await open(view());
    expect(place.find('.reason').textContent).toContain('Seven of nine on their own');
    expect(place.text).toContain('would settle it');
    expect(place.all('.items li')).toEqual(['four 2 of 3 on their own', 'five – not asked yet']);
  });

  it('shows the evidence itself, slips in words, and what was undone as such', async () => {
    const { place } = await open(view(), [
      seen(observation(61, 4, 'own')),
      seen(observation(62, 6, 'not-yet')),
      seen(observation(63, 4, 'own'), true),
    ]);
    const lines = place.all('.evidence li');
    expect(lines.length).toBe(3);
    expect(lines[0]).toContain('9 Mar');
    expect(place.all('.evidence .slip')).toEqual(['went on past the number asked']);
    expect(lines[2]).toContain('restored');
  });

  it('says where evidence was seen in passing, and where there is none yet', async () => {
    expect((await open(view())).place.text).toContain('Seen in passing');
  });

  it('takes the educator’s own word as a fact of today', async () => {
    const { place, put } = await open(view());
    await place.click('Knows it');
    const { kind, override } = put.calls.mostRecent().args[0] as {
      kind: string;
      override: EducatorOverride;
    };
    expect(kind).toBe('override');
    expect(override).toEqual(
      jasmine.objectContaining({
        childId: kofi.id,
        skillId: 'give-5',
        says: 'secure',
        day: TODAY,
      }),
    );
    await place.click('Not there yet');
    expect((put.calls.mostRecent().args[0] as { override: EducatorOverride }).override.says).toBe(
      'not-there',
    );
  });

  it('takes a word back with a further fact', async () => {
    const word = { id: id(70), says: 'secure' as const, since: '2026-03-01', against: 0 };
    const { place, put } = await open(view({ override: word, status: 'secure' }));
    expect(place.text).toContain('by your judgment');
    await place.click('Withdraw my judgment');
    expect(put.calls.mostRecent().args[0]).toEqual(
      jasmine.objectContaining({
        kind: 'voiding',
        childId: kofi.id,
        voiding: jasmine.objectContaining({ observationId: id(70) }),
      }),
    );
  });

  it('lets nothing be said about an earlier day', async () => {
    const { place } = await open(view(), [], true);
    expect(place.element.querySelector('.word')).toBeNull();
  });

  it('leads to what it builds on', async () => {
    const { place } = await open(view());
    let chosen = '';
    place.fixture.componentInstance.chosen.subscribe((skillId) => (chosen = skillId));
    place.find('.below button').click();
    expect(chosen).not.toBe('');
    expect(chosen).not.toBe('give-5');
  });
});
