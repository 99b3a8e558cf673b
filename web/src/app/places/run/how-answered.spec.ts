import { MatButtonToggleGroupHarness } from '@angular/material/button-toggle/testing';
import { ANSWERED, type Answered } from '@gumo/core/vocabulary';
import { Place } from '../../testing/place';
import { HowAnswered, type Reason } from './how-answered';

describe('how a child answered', () => {
  const opened = async (answered: Answered = 'spoken', reason: Reason = null) => {
    const place = await Place.open(HowAnswered, { inputs: { answered, reason } });
    const ways: Answered[] = [];
    const reasons: Reason[] = [];
    place.fixture.componentInstance.answeredChange.subscribe((one) => ways.push(one));
    place.fixture.componentInstance.reasonChange.subscribe((one) => reasons.push(one));
    const [how, why] = await place.loader.getAllHarnesses(MatButtonToggleGroupHarness);
    return { how: how!, why: why!, ways, reasons };
  };
  const named = async (group: MatButtonToggleGroupHarness, text: string) =>
    (await group.getToggles({ text }))[0]!;

  it('is one of five ways, the usual one chosen already', async () => {
    const { how, ways } = await opened('pointed');
    expect((await how.getToggles()).length).toBe(ANSWERED.length);
    expect(await (await named(how, 'pointed')).isChecked()).toBeTrue();
    await (await named(how, 'fingers')).check();
    expect(ways).toEqual(['fingers']);
  });

  it('has no reason until one is tapped', async () => {
    const { why, reasons } = await opened();
    for (const toggle of await why.getToggles()) expect(await toggle.isChecked()).toBeFalse();
    await (await named(why, 'just knew')).check();
    expect(reasons).toEqual(['knew']);
  });

  it('has one reason, the last that was tapped', async () => {
    const { why, reasons } = await opened('spoken', 'knew');
    await (await named(why, 'explained it')).check();
    expect(reasons).toEqual(['explained']);
  });

  it('has none again once its reason is tapped a second time', async () => {
    const { why, reasons } = await opened('spoken', 'knew');
    await (await named(why, 'just knew')).uncheck();
    expect(reasons).toEqual([null]);
  });
});
