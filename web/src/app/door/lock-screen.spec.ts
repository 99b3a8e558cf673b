import { signal } from '@angular/core';
import { MatDialog } from '@angular/material/dialog';
import { MatInputHarness } from '@angular/material/input/testing';
import { TestBed } from '@angular/core/testing';
import { ApiProblem, Unreachable } from '../common/api';
import { Door } from '../common/door';
import { Place } from '../testing/place';
import { LockScreen } from './lock-screen';

describe('the lock', () => {
  const opened = async (answer: (pin: string) => Promise<void>) => {
    const tried: string[] = [];
    const unlock = (pin: string): Promise<void> => {
      tried.push(pin);
      return answer(pin);
    };
    const place = await Place.open(LockScreen, {
      providers: [
        { provide: Door, useValue: { unlock, locked: signal(true) } },
        // Its title wants a dialog to belong to.
        { provide: MatDialog, useValue: { openDialogs: [], getDialogById: () => undefined } },
      ],
    });
    const pin = await place.loader.getHarness(MatInputHarness);
    return { place, tried, pin };
  };

  it('opens with the PIN', async () => {
    const { place, tried, pin } = await opened(() => Promise.resolve());
    await pin.setValue('4071');
    await place.submit();
    expect(tried).toEqual(['4071']);
    expect(place.element.querySelector('[role=alert]')).toBeNull();
    expect(place.find<HTMLButtonElement>('button', 'Open').disabled).toBe(false);
  });

  it('says that a PIN is wrong, empties the field, and takes another', async () => {
    const { place, tried, pin } = await opened(() => Promise.reject(new ApiProblem(422, 'wrong')));
    await pin.setValue('1111');
    await place.submit();
    expect(place.find('[role=alert]').textContent).toContain('This is not the PIN.');
    expect(await pin.getValue()).toBe('');
    await pin.setValue('2222');
    await place.submit();
    expect(tried).toEqual(['1111', '2222']);
  });

  it('says what else is wrong in other words', async () => {
    const { place } = await opened(() => Promise.reject(new Unreachable()));
    await place.submit();
    expect(place.find('[role=alert]').textContent).toContain('does not answer');
    expect(place.text).not.toContain('This is not the PIN');
  });

  it('shows what is typed to nobody who looks on', async () => {
    const { pin } = await opened(() => Promise.resolve());
    expect(await pin.getType()).toBe('password');
    TestBed.resetTestingModule();
  });
});
