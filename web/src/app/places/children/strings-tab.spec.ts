import { TestBed } from '@angular/core/testing';
import { MatSliderHarness } from '@angular/material/slider/testing';
import { Router } from '@angular/router';
import { SKILLS } from '@gumo/core/skills';
import { Store, provideState } from '@ngrx/store';
import type { NextStep, ProgressAnswer, SkillView } from '@gumo/core/contract';
import { ProgressActions, progressFeature } from '../../state/progress';
import { Starting } from '../../state/starting';
import { Place, TODAY, aChild, aView } from '../../testing/place';
import { StringsTab } from './strings-tab';

const kofi = aChild(2, 'Kofi');
const step = (skillId: string, more: Partial<NextStep> = {}): NextStep => ({
  skillId,
  title: `Step ${skillId}`,
  why: 'nearly',
  because: '4 of 6 on their own.',
  value: 1,
  activityId: 'handfuls',
  activityTitle: 'Handfuls',
  top: 10,
  ...more,
});
const VIEWS = SKILLS.map((skill) => aView(skill.id));
const withView = (one: SkillView): SkillView[] =>
  VIEWS.map((before) => (before.skillId === one.skillId ? one : before));

interface Setting {
  readonly now?: Partial<ProgressAnswer>;
  readonly then?: ProgressAnswer;
  readonly skill?: string;
  readonly child?: typeof kofi;
}

const answer = (more: Partial<ProgressAnswer> = {}): ProgressAnswer => ({
  childId: kofi.id,
  day: TODAY,
  views: VIEWS,
  steps: [],
  due: [],
  look: null,
  days: ['2026-03-02', '2026-03-09'],
  ...more,
});

async function open({ now, then, skill, child = kofi }: Setting = {}) {
  const start = jasmine.createSpy('start').and.resolveTo();
  const place = await Place.open(StringsTab, {
    children: [child],
    inputs: { id: kofi.id, ...(skill && { skill }) },
    answers: then ? { [`/children/${kofi.id}/progress`]: then } : {},
    providers: [provideState(progressFeature), { provide: Starting, useValue: { start } }],
  });
  TestBed.inject(Store).dispatch(ProgressActions.loaded({ answer: answer(now) }));
  await place.settle();
  return { place, start };
}
const beads = (place: Place<StringsTab>): HTMLElement[] => [
  ...place.element.querySelectorAll<HTMLElement>('[data-skill]'),
];

describe('the progress of a child', () => {
  it('draws every skill as a bead, filled as it stands', async () => {
    const { place } = await open({
      now: { views: withView(aView('touch-5', { status: 'secure' })) },
    });
    expect(beads(place).length).toBe(SKILLS.length);
    const filled = beads(place).filter((one) => one.dataset['status'] === 'secure');
    expect(filled.map((one) => one.dataset['skill'])).toEqual(['touch-5']);
  });

  it('offers the next steps, each with its reason and a way to begin at once', async () => {
    const { place, start } = await open({
      now: { steps: [step('total-5'), step('say-20', { activityId: null })] },
    });
    const steps = place.find('[aria-labelledby=next-steps]');
    expect(steps.textContent).toContain('4 of 6 on their own.');
    expect(steps.querySelectorAll('.go').length).toBe(1);
    await place.click(/^Handfuls to 10/);
    expect(start).toHaveBeenCalledOnceWith('handfuls', [
      { childId: kofi.id, rangeMax: 10, skillId: 'total-5' },
    ]);
  });

  it('lists five to review, grouped by what one activity settles, and folds the rest', async () => {
    const due = SKILLS.slice(0, 7).map(({ id }) => step(id, { why: 'due' }));
    const { place } = await open({ now: { due } });
    const list = place.find('[aria-labelledby=come-back]');
    const folded = place.find('[aria-labelledby=come-back] mat-expansion-panel');
    expect(folded.textContent).toContain('2 more');
    expect(folded.querySelectorAll('.title').length).toBe(2);
    expect(list.querySelectorAll('.title').length).toBe(7);
    const groups = list.querySelectorAll(':scope > .go').length;
    expect(groups).toBeGreaterThan(0);
    expect(groups).toBeLessThan(5);
    TestBed.resetTestingModule();
    const five = await open({ now: { due: due.slice(0, 5) } });
    expect(five.place.element.querySelector('mat-expansion-panel')).toBeNull();
  });

  it('keeps the opened bead in the address', async () => {
    const { place } = await open({ now: { steps: [step('total-5')] } });
    const went = spyOn(TestBed.inject(Router), 'navigate').and.resolveTo(true);
    await place.click('Step total-5');
    expect(went.calls.mostRecent().args[1]).toEqual(
      jasmine.objectContaining({ queryParams: { skill: 'total-5' } }),
    );
  });

  it('goes back to how it stood on an earlier day, and forward again', async () => {
    const then = answer({
      day: '2026-03-02',
      views: withView(aView('touch-5', { status: 'started' })),
      steps: [step('touch-5')],
      days: [],
    });
    const { place } = await open({
      now: { views: withView(aView('touch-5', { status: 'secure' })) },
      then,
    });
    jasmine.clock().install();
    const slider = await place.loader.getHarness(MatSliderHarness);
    const thumb = await slider.getEndThumb();
    expect(await thumb.getValue()).toBe(2);
    await thumb.setValue(0);
    jasmine.clock().tick(200);
    jasmine.clock().uninstall();
    await place.settle();
    expect(place.text).toContain('As it was on Mon 2 Mar');
    const touch = (): string | undefined =>
      beads(place).find((one) => one.dataset['skill'] === 'touch-5')?.dataset['status'];
    expect(touch()).toBe('started');
    // What was next then is not begun today.
    expect(place.all('.go')).toEqual([]);
    await place.click('Back to today');
    expect(touch()).toBe('secure');
  });

  it('invites to a first look where nothing was noted, and shows no days to go back to', async () => {
    const { place } = await open({ now: { days: [] } });
    expect(place.find<HTMLAnchorElement>('a', 'Start a first look').getAttribute('href')).toBe(
      `/children/${kofi.id}/first-look`,
    );
    expect(place.element.querySelector('mat-slider')).toBeNull();
    expect(place.text).toContain('Nothing is open now');
  });

  it('shows what to mind about the child', async () => {
    const cautions = { mouths: true, allergies: ['tree-nut', 'kiwi'], note: 'Asks for quiet.' };
    const { place } = await open({ child: { ...kofi, cautions } });
    expect(place.all('[aria-label=Cautions] p')).toEqual([
      'Still mouths things: no small parts near.',
      'Allergies: tree nuts, kiwi.',
      'Asks for quiet.',
    ]);
  });
});
