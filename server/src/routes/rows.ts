import { RowBatch } from '@gumo/core/contract';
import { type Change, Version } from '@gumo/core/vocabulary';
import type { Router } from 'express';
import * as v from 'valibot';
import type { Rows, Versioned } from '../database/rows.js';
import { checked, notFound, outdated, wrongField } from '../faults.js';
import { type Context, param } from './context.js';

const VersionQuery = v.object({ version: v.pipe(v.string(), v.transform(Number), Version) });

/** What a table of versioned rows needs to be read and written over HTTP. */
export interface RowsRoutes<T extends Versioned> {
  readonly rows: Rows<T>;
  readonly schema: v.GenericSchema<unknown, T>;
  /** In a message: "There is no such thing." */
  readonly what: string;
  readonly changed: Change['what'];
  /** False where rows are archived instead of removed. */
  readonly removable: boolean;
  /** Throws a Fault where a row does not fit the rest of the household. */
  readonly check?: (row: T) => void;
}

/** Reading, adding (one or many), changing and removing rows, each write with its version. */
export function addRows<T extends Versioned>(
  router: Router,
  base: string,
  context: Context,
  { rows, schema, what, changed, removable, check }: RowsRoutes<T>,
): void {
  const root = base === '' ? '/' : base;
  const tell = (): void => context.changes.tell({ what: changed, childIds: [], day: null });

  router.get(root, (_request, response) => void response.json(rows.all()));

  router.post(root, (request, response) => {
    const row = checked(schema, request.body);
    check?.(row);
    response.status(201).json(rows.add(row));
    tell();
  });

  router.post(`${base}/batch`, (request, response) => {
    const { rows: many } = checked(RowBatch(schema), request.body);
    many.forEach((row) => check?.(row));
    response.status(201).json(context.store.atomically(() => many.map((row) => rows.add(row))));
    tell();
  });

  router.put(`${base}/:id`, (request, response) => {
    const row = checked(schema, request.body);
    if (row.id !== param(request, 'id')) throw wrongField('id', 'is not the one in the address');
    if (!rows.find(row.id)) throw notFound(what);
    check?.(row);
    response.json(rows.replace(row));
    tell();
  });

  if (removable) {
    router.delete(`${base}/:id`, (request, response) => {
      const { version } = checked(VersionQuery, request.query);
      const row = rows.find(param(request, 'id'));
      if (!row) throw notFound(what);
      if (row.version !== version) throw outdated(row);
      rows.remove(row.id);
      response.status(204).end();
      tell();
    });
  }
}
