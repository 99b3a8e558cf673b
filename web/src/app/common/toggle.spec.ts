import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import { MatButtonToggleHarness } from '@angular/material/button-toggle/testing';
import { TOGGLES } from './toggle';

@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [TOGGLES],
  template: `
    <mat-button-toggle [checked]="on()" (change)="taken() && on.set(!on())">here</mat-button-toggle>
  `,
})
class Page {
  readonly on = signal(true);
  readonly taken = signal(true);
}

describe('a toggle', () => {
  it('shows what is so, also where a tap changed nothing', async () => {
    const page = TestBed.createComponent(Page);
    const loader = TestbedHarnessEnvironment.loader(page);
    const toggle = await loader.getHarness(MatButtonToggleHarness);
    await toggle.toggle();
    expect(await toggle.isChecked()).toBeFalse();
    page.componentInstance.taken.set(false);
    await toggle.toggle();
    expect(page.componentInstance.on()).toBeFalse();
    expect(await toggle.isChecked()).toBeFalse();
    page.componentInstance.taken.set(true);
    await toggle.toggle();
    expect(await toggle.isChecked()).toBeTrue();
  });
});
