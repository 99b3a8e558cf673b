import { TestBed } from '@angular/core/testing';
import type { FamilyLetter } from '@gumo/core/vocabulary';
import { ApiProblem } from '../../common/api';
import { Place, aChild, id } from '../../testing/place';
import { FamilyTab } from './family-tab';
import { ForgetChild } from './forget-child';

const line = (key: string, words: string) => ({ key, words });
const draft = {
  title: 'Juno, 16 December to 10 March',
  knows: [line('say-10', 'Says the number words to ten.'), line('touch-5', 'Counts five things.')],
  growing: [],
  next: [line('say-20', 'Says the number words to twenty.')],
  home: [line('Stairs', 'Stairs. Say a word on each step.')],
  cautions: [],
  goals: [{ code: 'G 1', source: 'A source', says: 'Counts.', secure: 1, of: 3 }],
  note: 'A teacher’s note, not an assessment.',
};

describe('a page for the family', () => {
  afterEach(() => TestBed.resetTestingModule());

  it('holds what was chosen, as it was worded, and the goals only where they are wanted', async () => {
    const place = await Place.open(FamilyTab, {
      inputs: { id: id(1) },
      answers: { '/families/draft': draft, '/families': [] },
    });
    await place.click('Say: Counts five things.', 'input[type=checkbox]');
    const first = place.find<HTMLTextAreaElement>('textarea');
    first.value = 'Juno counts to ten on the stairs.';
    first.dispatchEvent(new Event('input'));
    await place.settle();
    await place.click('Save this report');
    const kept = place.sent[0]!.body as FamilyLetter;
    expect(kept.knows).toEqual(['Juno counts to ten on the stairs.']);
    expect([kept.from, kept.to, kept.goals.length]).toEqual(['2025-12-16', '2026-03-10', 0]);
    expect(place.find('[role=status]').textContent).toContain('Saved.');
    expect(place.find<HTMLAnchorElement>('.kept a').href).toContain(
      `/api/papers/family/${kept.id}.pdf`,
    );
    await place.tick('Published goals as a second page', true);
    await place.click('Save this report');
    expect((place.sent[1]!.body as FamilyLetter).goals.length).toBe(1);
  });

  it('takes a sentence of one’s own, and says why it could not be kept', async () => {
    const place = await Place.open(FamilyTab, {
      inputs: { id: id(1) },
      answers: { '/families/draft': draft, '/families': [] },
      refusal: new ApiProblem(400, 'knows.0 is too long'),
    });
    expect(place.element.textContent).toContain('Nothing was noted of this in that time.');
    await place.click('A sentence of your own');
    expect(place.element.querySelectorAll('textarea').length).toBe(5);
    await place.click('Save this report');
    expect(place.find('[role=alert]').textContent).toContain('knows.0 is too long');
  });
});

describe('forgetting a child', () => {
  afterEach(() => TestBed.resetTestingModule());

  it('wants the name once more, and says which copies still hold it', async () => {
    const child = aChild(1, 'Juno');
    const holder = { name: 'gumo-2026-03-10.db', until: '2027-04-11' };
    const place = await Place.open(ForgetChild, {
      inputs: { child },
      replies: { [`POST /children/${child.id}/forget`]: { holders: [holder] } },
    });
    await place.click('Delete this child permanently');
    const button = (): HTMLButtonElement => place.find('button', 'Delete permanently');
    expect(button().disabled).toBeTrue();
    await place.fill(/The name once more/, 'June');
    expect(button().disabled).toBeTrue();
    await place.fill(/The name once more/, ' juno ');
    await place.click('Delete permanently');
    expect(place.sent[0]!.body).toEqual({ name: ' juno ', copies: true });
    expect(place.find('[role=status]').textContent).toContain('gone by');
  });
});
