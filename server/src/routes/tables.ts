import { MaterialsTable } from '@gumo/core/contract';
import { randomUUID } from 'node:crypto';
import { rmSync, statSync } from 'node:fs';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { conclude } from '@gumo/core/evidence';
import {
  MATERIAL_COLUMNS,
  type MaterialColumn,
  materialOfRow,
  materialRow,
} from '@gumo/core/exchange';
import { GOALS, SKILLS, skillOf } from '@gumo/core/skills';
import { type Material, speaksOf } from '@gumo/core/vocabulary';
import express, { Router } from 'express';
import Papa from 'papaparse';
import { csvOf, plainCell, sentTable, tryLines } from '../services/keeping/tables.js';
import type { TriesSaid, TriesWork } from '../services/keeping/tries-worker.js';
import { type SaidWrong, wordsOf } from '../services/keeping/words-of.js';
import { Fault, checked } from '../faults.js';
import { type Context, noteDone } from './context.js';
import { received } from './received.js';

const LIMIT = '4mb';
const SMALL_BYTES = 200_000;
const PROGRESS_COLUMNS = [
  'child',
  'skill',
  'title',
  'strand',
  'status',
  'computed',
  'tries',
  'on their own',
  'days',
  'last seen',
  'due',
];

interface MaterialSaid {
  readonly row: number;
  readonly what: 'new' | 'changed' | 'known' | 'refused';
  readonly words: string;
}

/** Tries, progress, materials and skill map as tables that any other program reads, and back. */
export function tablesRoutes(context: Context): Router {
  const { store, progress, changes } = context;
  const router = Router();

  router.get('/observations.csv', async (request, response) => {
    noteDone(context, request, 'exported', 'observations.csv');
    response.type('text/csv').attachment('gumo-observations.csv');
    await pipeline(Readable.from(tryLines(store, store.facts.allValid())), response);
  });

  router.get('/progress.csv', (request, response) => {
    const day = context.today();
    const rows = store.children.all().flatMap((child) =>
      conclude(progress.of(child), day, { speaks: speaksOf(child) }).map((view) => ({
        child: child.name,
        skill: view.skillId,
        title: skillOf(view.skillId).title,
        strand: skillOf(view.skillId).strand,
        status: view.status,
        computed: view.computed ?? '',
        tries: view.scored,
        'on their own': view.own,
        days: view.days,
        'last seen': view.lastSeen ?? '',
        due: view.due ?? '',
      })),
    );
    noteDone(context, request, 'exported', 'progress.csv');
    response.type('text/csv').attachment('gumo-progress.csv').send(csvOf(PROGRESS_COLUMNS, rows));
  });

  router.get('/materials.csv', (_request, response) => {
    const rows = store.materials.all().map(materialRow);
    response.type('text/csv').attachment('gumo-materials.csv').send(csvOf(MATERIAL_COLUMNS, rows));
  });

  /** The skill map with what it is built on, and the published goals that it matches. */
  router.get('/skills.json', (_request, response) => {
    response.attachment('gumo-skills.json').json({ skills: SKILLS, goals: GOALS });
  });

  /**
   * What a table of tries would add; and adds it, all or nothing, unless it is a dry run. It is read in a
   * thread and put in piece by piece, so that others are answered meanwhile.
   */
  router.post('/observations', async (request, response) => {
    context.turnstile.standAside(request);
    const { databasePath } = context.records;
    const file = `${databasePath}.${randomUUID()}.reading`;
    try {
      await received(request, file);
      // What is small is looked at here: a thread takes longer to begin than it does to refuse it.
      if (statSync(file).size < SMALL_BYTES) sentTable(file);
      const said = await context.turnstile.alone(() => takeTries(context, file));
      const { dry, ...shown } = said;
      if (!dry && said.added > 0) {
        noteDone(context, request, 'imported', `a table of ${said.added} tries`);
        const childIds = store.children.all().map((one) => one.id);
        changes.tell({ what: 'evidence', childIds, day: null });
      }
      response.status(dry ? 200 : 201).json(shown);
    } finally {
      rmSync(file, { force: true });
    }
  });

  const json = express.json({ limit: LIMIT });

  /** The same for the household: a row with the id or the name of a thing changes that one. */
  router.post('/materials', json, (request, response) => {
    const { text: table, dry } = checked(MaterialsTable, request.body);
    const parsed = Papa.parse<Record<string, string>>(table.replace(/^\uFEFF/, ''), {
      header: true,
      skipEmptyLines: true,
    });
    if (!parsed.meta.fields?.includes('name')) {
      throw new Fault('unreadable', 'The table of materials needs a column “name”.', [
        { field: 'text', message: 'must have a column “name”' },
      ]);
    }
    const here = store.materials.all();
    const rows: MaterialSaid[] = [];
    const changed: ((Material & { readonly isNew: boolean }) | null)[] = parsed.data.map(
      (data, i) => {
        const row = i + 2;
        const cells = (column: MaterialColumn): string => plainCell(data[column] ?? '').trim();
        const read = materialOfRow(cells, randomUUID());
        if ('message' in read) {
          rows.push({ row, what: 'refused', words: `${read.column}: ${read.message}` });
          return null;
        }
        const known =
          here.find((one) => one.id === read.id) ?? here.find((one) => one.name === read.name);
        const next = known ? { ...read, id: known.id, version: known.version } : read;
        const same = known !== undefined && JSON.stringify(known) === JSON.stringify(next);
        rows.push({ row, what: same ? 'known' : known ? 'changed' : 'new', words: next.name });
        return same ? null : { ...next, isNew: !known };
      },
    );
    const materials = changed.filter((one) => one !== null);
    if (!dry && materials.length > 0) {
      store.atomically(() =>
        materials.forEach(({ isNew, ...material }) => {
          if (isNew) store.materials.add(material);
          else store.materials.replace(material);
        }),
      );
      changes.tell({ what: 'materials', childIds: [], day: null });
    }
    const many = (what: MaterialSaid['what']): number =>
      rows.filter((one) => one.what === what).length;
    response.status(dry ? 200 : 201).json({
      added: many('new'),
      changed: many('changed'),
      known: many('known'),
      refused: many('refused'),
      rows,
    });
  });

  return router;
}

const TRIES_WORKER = new URL('../services/keeping/tries-worker.js', import.meta.url);

/** Reads a table of tries, and puts in what is new unless it is a dry run. @throws Fault */
async function takeTries(
  { store, progress, records, today }: Context,
  file: string,
): Promise<NonNullable<TriesSaid['said']>> {
  const work: TriesWork = { file, database: records.databasePath, today: today() };
  const words = wordsOf<TriesSaid & SaidWrong>(TRIES_WORKER, work);
  const { said } = (await words.next()).value as TriesSaid;
  if (!said) throw new Error('nothing was said of the table');
  try {
    if (!said.dry && said.added > 0) {
      await store.pieceByPiece(words, ({ piece = [] }) => {
        for (const one of piece) store.facts.addObservation(one);
        return piece.length > 0;
      });
    }
  } catch (error) {
    // What was read meanwhile may rest on what is not there any more.
    progress.dropAll();
    throw error;
  } finally {
    await words.return(undefined);
  }
  return said;
}
