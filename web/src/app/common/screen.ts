import { BreakpointObserver } from '@angular/cdk/layout';
import { type Signal, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { map } from 'rxjs';

/** Held in one hand; as $phone in scale.scss. */
export const PHONE = '(max-width: 700px)';
/** Room for what lies beside a page: more than $tablet in scale.scss. */
export const WIDE = '(min-width: 901px)';

/** Whether the screen is as a media query says, followed as it changes. */
export const screenIs = (query: string): Signal<boolean> =>
  toSignal(
    inject(BreakpointObserver)
      .observe(query)
      .pipe(map(({ matches }) => matches)),
    { requireSync: true },
  );
