import {
  ChangeDetectionStrategy,
  Component,
  type ElementRef,
  inject,
  signal,
  viewChild,
} from '@angular/core';
import { FormBuilder, FormGroupDirective, ReactiveFormsModule } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { RouterLink } from '@angular/router';
import { Child, MONTH_NAMES } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import * as v from 'valibot';
import { ChildSymbol } from '../../common/child-symbol';
import { Clock } from '../../common/clock';
import { FORM_FIELDS } from '../../common/form-field';
import { faultOf, refused, valid } from '../../common/forms';
import { ageWords } from '../../common/words';
import { childrenFeature } from '../../state/children';
import { NewChildren } from '../../state/new-children';

/** Ages that come to a home preschool, in years. */
const OLDEST = 9;
/** Of a month that is known the middle is taken. */
const MIDDLE = '15';

/** One short card a child, several in a row: a name and the month of birth are enough. */
@Component({
  selector: 'gumo-start-children',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    ChildSymbol,
    FORM_FIELDS,
    MatButton,
    MatCheckbox,
    MatInputModule,
    MatSelectModule,
    ReactiveFormsModule,
    RouterLink,
  ],
  template: `
    <ul class="cards">
      @for (child of children(); track child.id) {
        <li>
          <gumo-child-symbol [symbol]="child.symbol" [name]="child.name" [size]="36" />
          <span>
            <strong>{{ child.name }}</strong>
            <span class="soft">{{ age(child) }}</span>
          </span>
          <a matButton [routerLink]="['/children', child.id, 'edit']">Change</a>
        </li>
      }
    </ul>
    <form [formGroup]="form" (ngSubmit)="add()" novalidate>
      <mat-form-field>
        <mat-label>Name</mat-label>
        <input #name matInput formControlName="name" autocomplete="off" maxlength="60" />
        <mat-error>{{ faultOf(form.controls.name) }}</mat-error>
      </mat-form-field>
      <mat-form-field>
        <mat-label>Month of birth</mat-label>
        <mat-select formControlName="month">
          @for (month of months; track month) {
            <mat-option [value]="$index + 1">{{ month }}</mat-option>
          }
        </mat-select>
        <mat-error>{{ faultOf(form.controls.month) }}</mat-error>
      </mat-form-field>
      <mat-form-field>
        <mat-label>Year of birth</mat-label>
        <mat-select formControlName="year">
          @for (year of years; track year) {
            <mat-option [value]="year">{{ year }}</mat-option>
          }
        </mat-select>
        <mat-error>{{ faultOf(form.controls.year) }}</mat-error>
      </mat-form-field>
      <mat-checkbox formControlName="mouths">Still mouths things</mat-checkbox>
      <button matButton="outlined" type="submit" [disabled]="saving()">
        {{ children().length === 0 ? 'Add the first child' : 'Add the next child' }}
      </button>
    </form>
    @if (message(); as text) {
      <p class="caution" role="alert">{{ text }}</p>
    }
    <p class="soft">
      The month is enough: its middle is taken as the birthday until you put in the day. Allergies,
      likes, and how a child answers go under Change.
    </p>
  `,
  styleUrl: './steps.scss',
})
export class StartChildren {
  private readonly newChildren = inject(NewChildren);
  private readonly clock = inject(Clock);
  private readonly builder = inject(FormBuilder).nonNullable;
  private readonly nameField = viewChild.required<ElementRef<HTMLInputElement>>('name');
  private readonly directive = viewChild.required(FormGroupDirective);
  protected readonly children = inject(Store).selectSignal(childrenFeature.selectPresent);
  protected readonly faultOf = faultOf;
  protected readonly months = MONTH_NAMES;
  protected readonly years = Array.from(
    { length: OLDEST },
    (_, i) => Number(this.clock.today().slice(0, 4)) - i,
  );
  protected readonly message = signal<string | null>(null);
  protected readonly saving = signal(false);
  protected readonly form = this.builder.group({
    name: ['', valid(Child.entries.name)],
    month: [null as number | null, valid(v.number('choose a month'))],
    year: [null as number | null, valid(v.number('choose a year'))],
    mouths: [false],
  });

  protected age(child: Child): string {
    return ageWords(child, this.clock.today());
  }

  protected async add(): Promise<void> {
    this.form.markAllAsTouched();
    const { name, month, year, mouths } = this.form.getRawValue();
    if (this.form.invalid || this.saving() || month === null || year === null) return;
    const today = this.clock.today();
    const first = `${year}-${String(month).padStart(2, '0')}-`;
    const middle = first + MIDDLE;
    const isThisMonth = today.startsWith(first);
    if (!isThisMonth && middle > today) {
      this.form.controls.month.setErrors({ fault: 'must not be after today' });
      return;
    }
    this.saving.set(true);
    try {
      await this.newChildren.add({
        id: uuid(),
        name: name.trim(),
        birthDate: isThisMonth ? today : middle,
        symbol: this.newChildren.freeSymbol(),
        interests: [],
        cautions: { mouths, allergies: [], note: '' },
        answerModes: ['speaks', 'points'],
        policy: 'balanced',
        archived: false,
        version: 1,
      });
      this.message.set(null);
      this.directive().resetForm();
      this.nameField().nativeElement.focus();
    } catch (error) {
      this.message.set(refused(this.form, error));
    } finally {
      this.saving.set(false);
    }
  }
}
