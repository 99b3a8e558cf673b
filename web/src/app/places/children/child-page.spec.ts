import { ChangeDetectionStrategy, Component } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { MatMenuHarness } from '@angular/material/menu/testing';
import { MatSelectHarness } from '@angular/material/select/testing';
import { MatTabNavBarHarness } from '@angular/material/tabs/testing';
import { Router, provideRouter } from '@angular/router';
import { Store, provideState } from '@ngrx/store';
import { ApiProblem } from '../../common/api';
import { childrenFeature } from '../../state/children';
import { ProgressActions, progressFeature } from '../../state/progress';
import { Place, aChild } from '../../testing/place';
import { ChildPage } from './child-page';

@Component({ template: '', changeDetection: ChangeDetectionStrategy.OnPush })
class Somewhere {}

const kofi = aChild(2, 'Kofi', {
  birthDate: '2021-06-05',
  interests: ['drums', 'trains'],
  version: 4,
});

async function open(child = kofi, refusal?: ApiProblem) {
  const changed = { ...child, policy: 'secure-first', version: 5 };
  const place = await Place.open(ChildPage, {
    children: [child],
    inputs: { id: kofi.id },
    ...(refusal && { refusal }),
    replies: {
      [`POST /children/${kofi.id}/policy`]: {
        child: changed,
        sentence: 'With secure first three beads fall back to nearly there.',
      },
    },
    providers: [
      provideRouter([{ path: '**', component: Somewhere }]),
      provideState(progressFeature),
    ],
  });
  const go = async (tab: string): Promise<void> => {
    await TestBed.inject(Router).navigateByUrl(`/children/${kofi.id}${tab}`);
    await place.settle();
  };
  return { place, go };
}

describe('the page of a child', () => {
  it('says who it is', async () => {
    const { place } = await open();
    expect(place.find('h1').textContent).toBe('Kofi');
    expect(place.find('.who .soft').textContent).toBe('4 years 9 months · likes drums and trains');
  });

  it('has five tabs, and the details in a menu of one of them', async () => {
    const { place, go } = await open();
    const bar = await place.loader.getHarness(MatTabNavBarHarness);
    const labels = async (): Promise<string[]> =>
      Promise.all((await bar.getLinks()).map((one) => one.getLabel()));
    expect((await labels()).map((one) => one.trim())).toEqual([
      'Progress',
      'Details',
      'Sessions',
      'Work samples',
      'Family report',
    ]);
    const menu = await place.loader.getHarness(MatMenuHarness);
    await menu.open();
    expect((await menu.getItems()).length).toBe(8);
    await menu.close();
    await go('/saying');
    // What is open is named where the menu stands.
    expect((await labels()).map((one) => one.trim())).toContain('Rote counting');
    expect(await (await bar.getActiveLink()).getLabel()).toContain('Rote counting');
    await go('/family');
    expect(await (await bar.getActiveLink()).getLabel()).toContain('Family report');
  });

  it('says what another rule of going on changes', async () => {
    const { place } = await open();
    const select = await place.loader.getHarness(MatSelectHarness);
    await select.clickOptions({ text: 'secure first' });
    await place.settle();
    expect(place.sent.at(-1)).toEqual({
      method: 'POST',
      path: `/children/${kofi.id}/policy`,
      body: { policy: 'secure-first', version: 4 },
    });
    expect(place.find('[role=status]').textContent).toContain('three beads fall back');
    const known = TestBed.inject(Store).selectSignal(childrenFeature.selectChildById)();
    expect(known[kofi.id]?.version).toBe(5);
  });

  it('says why the rule could not be changed', async () => {
    const { place } = await open(kofi, new ApiProblem(409, 'Somebody changed this child.'));
    const select = await place.loader.getHarness(MatSelectHarness);
    await select.clickOptions({ text: 'secure first' });
    await place.settle();
    expect(place.find('[role=status]').textContent).toContain('Somebody changed this child.');
  });

  it('says what went wrong with the progress, and that a child is archived', async () => {
    const { place } = await open({ ...kofi, archived: true });
    expect(place.text).toContain('This child is archived');
    TestBed.inject(Store).dispatch(
      ProgressActions.loadFailed({ childId: kofi.id, message: 'It does not answer.' }),
    );
    await place.settle();
    expect(place.find('[role=alert]').textContent).toContain('It does not answer.');
  });

  it('says so where there is no such child', async () => {
    const { place } = await open(aChild(7, 'Mirela'));
    expect(place.text).toContain('There is no such child here');
  });
});
