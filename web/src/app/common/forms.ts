import { DestroyRef, Injectable, inject } from '@angular/core';
import type { AbstractControl, FormGroup, ValidatorFn } from '@angular/forms';
import { MatDialog } from '@angular/material/dialog';
import type { CanDeactivateFn } from '@angular/router';
import { capital } from '@gumo/core/numbers';
import { firstValueFrom } from 'rxjs';
import * as v from 'valibot';
import { ApiProblem } from './api';

/** A validator that runs a schema over what stands in a field; the schema's own words stand under it. */
export const valid =
  (schema: v.GenericSchema): ValidatorFn =>
  ({ value }: AbstractControl<unknown>) => {
    const checked = v.safeParse(schema, value);
    return checked.success ? null : { fault: checked.issues[0].message };
  };

/** What is wrong with a field, as a sentence; empty where nothing is. */
export function faultOf(control: AbstractControl | null): string {
  const fault: unknown = control?.errors?.['fault'];
  return typeof fault === 'string' ? `${capital(fault)}.` : '';
}

/**
 * Puts what was refused on the fields that it came from.
 * @returns what belongs to no field of the form, in words; null where nothing does
 */
export function refused(form: FormGroup, error: unknown): string | null {
  if (!(error instanceof ApiProblem)) return (error as Error).message;
  const others = error.errors.filter(({ field, message }) => {
    const control = form.get(field);
    control?.setErrors({ fault: message });
    control?.markAsTouched();
    return control === null;
  });
  if (others.length > 0) return others.map((one) => `${one.field} ${one.message}`).join('; ');
  return error.errors.length > 0 ? null : error.message;
}

/** Forms on screen in which something is written that is not kept yet. */
@Injectable({ providedIn: 'root' })
export class Unsaved {
  private readonly forms = new Set<() => boolean>();

  constructor() {
    addEventListener('beforeunload', (event) => this.any() && event.preventDefault());
  }

  /** Watches a form for as long as its component is there. */
  watch(isDirty: () => boolean): void {
    this.forms.add(isDirty);
    inject(DestroyRef).onDestroy(() => this.forms.delete(isDirty));
  }

  any(): boolean {
    return [...this.forms].some((isDirty) => isDirty());
  }
}

/**
 * Asks before a place is left in which something is written that is not kept. A place whose drafts outlive
 * what is open in it names the addresses within it: data: { within: '/measure/' }.
 */
export const keepUnsaved: CanDeactivateFn<unknown> = async (_component, route, _state, next) => {
  const unsaved = inject(Unsaved);
  const dialog = inject(MatDialog);
  const within = route.data['within'] as string | undefined;
  if (within !== undefined && next.url.startsWith(within)) return true;
  if (!unsaved.any()) return true;
  const { LeaveDialog } = await import('./leave-dialog');
  const leaves = dialog.open(LeaveDialog, { width: '440px', restoreFocus: true }).afterClosed();
  return (await firstValueFrom(leaves)) === true;
};
