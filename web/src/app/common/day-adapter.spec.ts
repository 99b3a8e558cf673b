import { ChangeDetectionStrategy, Component } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { DateAdapter } from '@angular/material/core';
import { MatDatepickerInputHarness } from '@angular/material/datepicker/testing';
import { MatInputModule } from '@angular/material/input';
import { MatTimepickerInputHarness } from '@angular/material/timepicker/testing';
import { addDays } from '@gumo/core/vocabulary';
import fc from 'fast-check';
import { Place, TODAY } from '../testing/place';
import { DAYS_AS_TEXT, DAY_FIELDS } from './day-adapter';

@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DAY_FIELDS, MatInputModule, ReactiveFormsModule],
  providers: [DAYS_AS_TEXT],
  template: `
    <input matInput [matDatepicker]="days" [formControl]="day" />
    <mat-datepicker #days />
    <input matInput [matTimepicker]="times" [formControl]="time" />
    <mat-timepicker #times interval="6h" />
  `,
})
class Fields {
  readonly day = new FormControl('2024-02-29');
  readonly time = new FormControl('08:30');
}

/** Midnight of a day, in milliseconds: so that days are put in order by another road than their text. */
const dayNumber = fc.integer({ min: -20_000, max: 60_000 });
const dayAt = (n: number): string => addDays('1970-01-01', n);

describe('days and times as text, for pickers', () => {
  const opened = async () => {
    const place = await Place.open(Fields);
    return {
      place,
      fields: place.fixture.componentInstance,
      day: await place.loader.getHarness(MatDatepickerInputHarness),
      time: await place.loader.getHarness(MatTimepickerInputHarness),
    };
  };

  it('show a day in words, and keep what is typed or picked as it is written in records', async () => {
    const { fields, day } = await opened();
    expect(await day.getValue()).toBe('29 February 2024');
    await day.setValue('2025-02-28');
    expect(fields.day.value).toBe('2025-02-28');
    await day.setValue('3 April 2026');
    expect(fields.day.value).toBe('2026-04-03');
    await day.setValue('4/5/2026');
    expect(fields.day.value).toBe('2026-05-04');
    await day.openCalendar();
    await (await day.getCalendar()).selectCell({ text: '17' });
    expect(fields.day.value).toBe('2026-05-17');
  });

  it('take no day that is none', async () => {
    const { fields, day } = await opened();
    for (const typed of ['2025-02-29', '31 June 2025', 'soon', '']) {
      await day.setValue(typed);
      expect(fields.day.value).withContext(typed).toBeNull();
    }
  });

  it('read a time as people type it, and offer the hours of one day', async () => {
    const { fields, time } = await opened();
    for (const [typed, kept] of [
      ['9:05', '09:05'],
      ['14.20', '14:20'],
      ['7', '07:00'],
      // What no time is stays none, and its field says so.
      ['24:00', 'neither'],
      ['late', 'neither'],
    ] as const) {
      await time.setValue(typed);
      expect(fields.time.value).withContext(typed).toBe(kept);
    }
    await time.openTimepicker();
    const options = await (await time.getTimepicker()).getOptions();
    const words = await Promise.all(options.map((one) => one.getText()));
    expect(words).toEqual(['00:00', '06:00', '12:00', '18:00']);
  });

  it('count days and months as the calendar does', async () => {
    const { place } = await opened();
    const adapter = place.fixture.debugElement.injector.get(DateAdapter) as DateAdapter<string>;
    expect(adapter.today()).toBe(TODAY);
    expect(adapter.addCalendarMonths('2024-01-31', 1)).toBe('2024-02-29');
    expect(adapter.addCalendarYears('2024-02-29', 1)).toBe('2025-02-28');
    fc.assert(
      fc.property(dayNumber, fc.integer({ min: -800, max: 800 }), (from, days) => {
        const day = dayAt(from);
        const then = adapter.addCalendarDays(day, days);
        expect(then).toBe(dayAt(from + days));
        expect(Math.sign(adapter.compareDate(then, day))).toBe(Math.sign(days));
        // The first day of 1970 was a Thursday.
        expect(adapter.getDayOfWeek(day)).toBe((((from + 4) % 7) + 7) % 7);
      }),
    );
    TestBed.resetTestingModule();
  });
});
