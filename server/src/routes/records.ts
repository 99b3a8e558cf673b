import { randomUUID } from 'node:crypto';
import { rmSync } from 'node:fs';
import { basename } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Router } from 'express';
import * as v from 'valibot';
import { Backup, Backups, Imported, Restored } from '@gumo/core/contract';
import { askerOf } from './door/listener.js';
import { UnusableDatabase } from '../database/open.js';
import { copyDatabase } from '../services/keeping/copying.js';
import { readHousehold, writtenHousehold } from '../services/keeping/exchange.js';
import { Fault, checked } from '../faults.js';
import { VERSION } from '../version.js';
import { received } from './received.js';
import { type Context, noteDone, param } from './context.js';
import { answer } from './answer.js';

const Replace = v.object({ replace: v.optional(v.literal('1')) });

/** All that is kept, as files: copies of the records, and the household as open formats. */
export function recordsRoutes(context: Context): Router {
  const { store, records } = context;
  const { backups, databasePath } = records;
  const router = Router();
  /** A file beside the records, so that it can take their place in one step. */
  const beside = (end: string): string => `${databasePath}.${randomUUID()}.${end}`;

  router.get('/backups', (_request, response) => {
    answer(response, Backups, { ...backups.state(), gumo: VERSION });
  });

  router.post('/backups', async (_request, response) => {
    answer(response, Backup, await backups.make('asked'), 201);
  });

  router.delete('/backups/:name', (request, response) => {
    backups.remove(param(request, 'name'));
    noteDone(context, request, 'copy-removed', param(request, 'name'));
    response.status(204).end();
  });

  /** Takes the records of a copy; what was there is saved as a backup first. */
  router.post('/backups/:name/restore', async (request, response) => {
    context.turnstile.standAside(request);
    const file = backups.fileOf(param(request, 'name'));
    const candidate = beside('restoring');
    try {
      // Of an older Gumo, it is brought up to date before it takes the place.
      await copyDatabase({ from: file, to: candidate, upToDate: true }).catch(refuseUnusable);
      await records.counting.run(candidate);
      const before = await records.replaceWith(candidate, {
        what: 'restored',
        detail: basename(file),
        who: askerOf(request).name,
      });
      answer(response, Restored, { before: before.name });
    } finally {
      rmSync(candidate, { force: true });
    }
  });

  router.get('/household.json', async (request, response) => {
    // What is wrong is said before the first byte goes out.
    const pieces = writtenHousehold(databasePath, context.today());
    const first = await pieces.next();
    noteDone(context, request, 'exported', 'household.json');
    response.type('application/json');
    response.setHeader('content-disposition', 'attachment; filename="gumo-household.json"');
    await pipeline(Readable.from(after(first.done ? '' : first.value, pieces)), response);
  });

  /** Takes a household from a file: into an empty one, or in the place of this one if asked to. */
  router.post('/household', async (request, response) => {
    context.turnstile.standAside(request);
    const { replace } = checked(Replace, request.query);
    if (store.children.all().length > 0 && replace === undefined) {
      throw new Fault(
        'conflict',
        'There are children here already: say that the file takes the place of this household.',
        [{ field: 'replace', message: 'must be 1' }],
      );
    }
    const [file, candidate] = [beside('reading'), beside('restoring')];
    try {
      await received(request, file);
      const { counts, leftOut } = await readHousehold(file, candidate, context.today());
      await records.counting.run(candidate);
      const before = await records.replaceWith(candidate, {
        what: 'imported',
        detail: 'a household file',
        who: askerOf(request).name,
      });
      answer(response, Imported, { counts, leftOut, before: before.name }, 201);
    } finally {
      for (const one of [file, candidate, `${candidate}-wal`, `${candidate}-shm`]) {
        rmSync(one, { force: true });
      }
    }
  });

  return router;
}

async function* after(first: string, rest: AsyncIterable<string>): AsyncGenerator<string> {
  yield first;
  yield* rest;
}

/** @throws Fault `impossible` where a copy cannot be opened */
function refuseUnusable(error: unknown): never {
  const isGone = (error as { code?: string }).code === 'ENOENT';
  if (isGone || error instanceof UnusableDatabase) {
    throw new Fault(
      'impossible',
      'This backup cannot be used: it is damaged, or from a newer Gumo.',
    );
  }
  throw error;
}
