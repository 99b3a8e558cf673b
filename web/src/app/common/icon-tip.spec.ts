import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatTooltipHarness } from '@angular/material/tooltip/testing';
import { Place } from '../testing/place';
import { IconTip } from './icon-tip';

@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [IconTip, MatButtonModule],
  template: `<button matIconButton [attr.aria-label]="words()">x</button>`,
})
class OneButton {
  readonly words = signal('Remove the jar');
}

describe('a button that is only a picture', () => {
  it('says what it does, also after its name changed', async () => {
    const place = await Place.open(OneButton);
    const tip = await place.loader.getHarness(MatTooltipHarness);
    await tip.show();
    expect(await tip.getTooltipText()).toBe('Remove the jar');
    await tip.hide();
    place.fixture.componentInstance.words.set('Remove the pot');
    await place.settle();
    await tip.show();
    expect(await tip.getTooltipText()).toBe('Remove the pot');
  });
});
