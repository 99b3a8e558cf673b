import { ProposedSheets } from '@gumo/core/contract';
import {
  LAID,
  PrintItem,
  type Sheet,
  type SheetKind,
  SheetWish,
  acrossOf,
  attempt,
  chosenBy,
  findSheet,
  pictureFor,
  proposedFor,
  svgOf,
  wishFor,
} from '@gumo/core/sheets';
import { PRINTABLE } from '@gumo/core/materials';
import { type Child, Day, Id, addDays } from '@gumo/core/vocabulary';
import { type Request, Router } from 'express';
import * as v from 'valibot';
import { Fault, checked, notFound, wrongField } from '../faults.js';
import { type Context, param } from './context.js';
import { activityIn, needsFor } from '../services/needs.js';
import { addRows } from './rows.js';
import { sendPdf } from './send-pdf.js';
import { answer } from './answer.js';

const number = v.optional(v.pipe(v.string(), v.transform(Number)));
const words = v.optional(v.string());
const yes = v.optional(
  v.pipe(
    v.string(),
    v.transform((text) => text === '1'),
  ),
);
const Asked = v.object({
  low: number,
  high: number,
  materialMm: number,
  count: number,
  seed: number,
  paper: words,
  look: words,
  answers: yes,
  twoSided: yes,
  laminate: yes,
  picture: words,
  word: words,
  target: v.optional(
    v.pipe(
      v.string(),
      v.transform((text) => (text === '' ? null : Number(text))),
    ),
  ),
  size: words,
  alike: yes,
  outline: yes,
  activity: words,
  cues: words,
  faces: v.optional(
    v.pipe(
      v.string(),
      v.transform((text) => text.split(',')),
    ),
  ),
});
/** Whom it is for, by id: an address in a log says no name. */
const For = v.object({ child: v.optional(Id) });
const PageNumber = v.object({ page: number });
const Span = v.object({
  from: Day,
  days: v.optional(
    v.pipe(v.string(), v.transform(Number), v.integer(), v.minValue(1), v.maxValue(7)),
  ),
});

/** Sheets in true size, for any printer: as PDF, or one page as SVG; alone, or those collected. */
export function sheetsRoutes(context: Context): Router {
  const { store, printer } = context;
  const router = Router();

  /** What the household chose, and nothing else yet. */
  function chosen(): Partial<SheetWish> {
    const household = store.household.all()[0];
    return household ? chosenBy(household) : {};
  }

  function wishOf(request: Request): SheetWish {
    const asked = checked(Asked, request.query);
    const { child } = checked(For, request.query);
    const given = Object.fromEntries(
      Object.entries(asked).filter(([, value]) => value !== undefined),
    );
    const wish = { ...wishFor(kindOf(request), chosen()), ...given, owner: nameOf(child ?? null) };
    return checked(SheetWish, wish);
  }

  /** A kept wish says neither whom it is for nor what the household says while a digit is written. */
  const whole = (childId: string | null, wish: SheetWish): SheetWish => ({
    ...wish,
    owner: nameOf(childId),
    says: chosen().says ?? [],
  });

  const nameOf = (childId: string | null): string =>
    childId === null ? '' : (store.children.find(childId)?.name ?? '');

  function kindOf(request: Request): SheetKind {
    const kind = findSheet(param(request, 'kind'));
    if (!kind) throw notFound('kind of sheet');
    return kind;
  }

  function made(kind: SheetKind, wish: SheetWish): Sheet {
    const { sheet, problem } = attempt(kind, wish);
    if (sheet) return sheet;
    throw new Fault('impossible', `This cannot be made: ${problem}.`, [
      { field: 'sheet', message: problem },
    ]);
  }

  /** Everything that was collected, as one file. */
  router.get('/tray.pdf', async (_request, response) => {
    const sheets = store.prints.all().flatMap(({ kind, childId, wish }) => {
      const found = findSheet(kind);
      return found ? [made(found, whole(childId, wish))] : [];
    });
    if (sheets.length === 0) throw new Fault('impossible', 'The print list is empty.');
    await sendPdf(response, printer, 'tray', sheets);
  });

  addRows(router, '/items', context, {
    rows: store.prints,
    schema: PrintItem,
    what: 'sheet',
    changed: 'prints',
    removable: true,
    check: ({ kind, childId, wish }) => {
      const found = findSheet(kind);
      if (!found) throw wrongField('kind', 'is no kind of sheet');
      if (childId !== null && !store.children.has(childId)) {
        throw wrongField('childId', 'is no child of this household');
      }
      made(found, whole(childId, wish));
    },
  });

  /** What the plan of a day, or of some days, wants on paper, made for those who take part. */
  router.get('/proposed', (request, response) => {
    const { from, days = 1 } = checked(Span, request.query);
    const proposed = Array.from({ length: days }, (_, i) => addDays(from, i)).flatMap((day) => {
      const { away } = store.days.find(day);
      return store.plan
        .ofDay(day)
        .filter((entry) => entry.state === 'planned' || entry.state === 'begun')
        .flatMap((entry) => {
          const here = entry.participants.filter(({ childId }) => !away.includes(childId));
          const children = here.flatMap(({ childId }) => store.children.find(childId) ?? []);
          const lines = needsFor(store, [{ ...entry, participants: here }], () => children);
          const onPaper = lines.filter(({ use }) => PRINTABLE.includes(use));
          // What is at hand is not printed once more; what goes with it besides is on its own page.
          const wanted = onPaper.filter((line) => line.material === null || line.short > 0);
          if (wanted.length === 0) return [];
          const [material] = lines.flatMap((line) =>
            line.material && LAID.has(line.use) ? (acrossOf(line.material.shape) ?? []) : [],
          );
          const activity = activityIn(store, entry.activityId);
          if (!activity) return [];
          const first = { sheets: activity.sheets.slice(0, wanted.length) };
          return proposedFor(first, here).flatMap(({ kind, look, childId, low, high }) => {
            const found = findSheet(kind);
            if (!found) return [];
            const laid = material !== undefined && found.asks.includes('material');
            const wish = wishFor(found, {
              ...chosen(),
              ...{ look, low, high, says: [], picture: pictureOf(children, childId) },
              ...(laid && { materialMm: material }),
            });
            // It is made for somebody, whose name is written on it then.
            const { sheet } = attempt(found, { ...wish, owner: 'A' });
            return sheet ? [{ kind, childId, because: activity.title, day, wish }] : [];
          });
        });
    });
    // Cards to twenty hold those to ten: what is shared is printed once, for the widest range.
    const widest = new Map<string, (typeof proposed)[number]>();
    for (const one of proposed) {
      const key = `${one.kind}/${one.wish.look}/${one.childId}`;
      const known = widest.get(key);
      if (!known || known.wish.high < one.wish.high) {
        widest.set(key, known ? { ...one, day: known.day } : one);
      }
    }
    answer(response, ProposedSheets, [...widest.values()]);
  });

  router.get('/:kind.pdf', async (request, response) => {
    await sendPdf(response, printer, param(request, 'kind'), [
      made(kindOf(request), wishOf(request)),
    ]);
  });

  router.get('/:kind.svg', (request, response) => {
    const { page = 1 } = checked(PageNumber, request.query);
    const found = made(kindOf(request), wishOf(request)).pages[page - 1];
    if (!found) throw notFound('page');
    response.type('image/svg+xml').send(svgOf(found));
  });

  return router;
}

const pictureOf = (children: readonly Child[], childId: string | null): string =>
  pictureFor(children.find((one) => one.id === childId)?.interests ?? []);
