import { Directive, inject } from '@angular/core';
import { MatFormField, MatFormFieldModule } from '@angular/material/form-field';

/** Every field is outlined, and as high as what stands in it. */
@Directive({
  // It is Material's own element, in every template that has one.
  // eslint-disable-next-line @angular-eslint/directive-selector
  selector: 'mat-form-field',
})
export class OutlinedField {
  constructor() {
    const field = inject(MatFormField);
    field.appearance = 'outline';
    field.subscriptSizing = 'dynamic';
  }
}

/** Material's fields as Gumo draws them. Said here and not at the start, where nobody fills in any. */
export const FORM_FIELDS = [MatFormFieldModule, OutlinedField] as const;
