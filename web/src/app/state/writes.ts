import { Injectable, inject } from '@angular/core';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { Store, createActionGroup, props } from '@ngrx/store';
import { catchError, filter, firstValueFrom, from, map, mergeMap, of } from 'rxjs';
import { v7 as uuid } from 'uuid';
import type * as v from 'valibot';
import { Api, type Method, type Writing } from '../common/api';

/** Something that the server is to change. */
interface Write {
  readonly id: string;
  readonly method: Method;
  readonly path: string;
  readonly body: unknown;
  readonly writing: Writing;
}

export const WriteActions = createActionGroup({
  source: 'Write',
  events: {
    Asked: props<{ write: Write }>(),
    Done: props<{ id: string; answer: unknown }>(),
    Refused: props<{ id: string; problem: unknown }>(),
  },
});

/** Every change that a place asks of the server goes out here; what is noted at the tray goes by the outbox. */
export const sendWrites = createEffect(
  (actions$ = inject(Actions), api = inject(Api)) => {
    return actions$.pipe(
      ofType(WriteActions.asked),
      mergeMap(({ write: { id, method, path, body, writing } }) =>
        from(api.send(method, path, body, writing)).pipe(
          map((answer) => WriteActions.done({ id, answer })),
          catchError((problem: unknown) => of(WriteActions.refused({ id, problem }))),
        ),
      ),
    );
  },
  { functional: true },
);

/** How a place asks the server for a change and waits for what becomes of it. */
@Injectable({ providedIn: 'root' })
export class Writes {
  private readonly store = inject(Store);
  private readonly actions$ = inject(Actions);
  private readonly api = inject(Api);

  /**
   * @returns the server's answer, as the schema reads it
   * @throws ApiProblem where the server refuses, Unreachable where it does not answer, NotUnderstood
   */
  async send<S extends v.GenericSchema>(
    method: Method,
    path: string,
    body: unknown,
    schema: S,
    writing: Writing = {},
  ): Promise<v.InferOutput<S>> {
    const id = uuid();
    const settled = firstValueFrom(
      this.actions$.pipe(
        ofType(WriteActions.done, WriteActions.refused),
        filter((one) => one.id === id),
      ),
    );
    this.store.dispatch(WriteActions.asked({ write: { id, method, path, body, writing } }));
    const one = await settled;
    if (one.type === WriteActions.refused.type) throw one.problem;
    return this.api.understood(schema, path, one.answer);
  }
}
