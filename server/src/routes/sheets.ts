import { type SheetKind, SheetWish, findSheet, svgOf, usualWish } from '@gumo/core/sheets';
import { type Request, Router } from 'express';
import * as v from 'valibot';
import { Problem, checked, notFound } from '../problems.js';
import { pdfOf } from '../sheets/pdf.js';
import { type Context, param } from './context.js';

const number = v.optional(v.pipe(v.string(), v.transform(Number)));
const Asked = v.object({
  low: number,
  high: number,
  thingMm: number,
  count: number,
  seed: number,
  paper: v.optional(v.string()),
  look: v.optional(v.string()),
  answers: v.optional(
    v.pipe(
      v.string(),
      v.transform((text) => text === '1'),
    ),
  ),
});
const PageNumber = v.object({ page: number });

/** Sheets in true size, for any printer: as PDF, or one page as SVG. */
export function sheetsRoutes({ store }: Context): Router {
  const router = Router();

  function wishOf(request: Request): SheetWish {
    const household = store.household.all()[0];
    const asked = checked(Asked, request.query);
    const given = Object.fromEntries(
      Object.entries(asked).filter(([, value]) => value !== undefined),
    );
    return checked(SheetWish, {
      ...usualWish(),
      ...(household ? { paper: household.paper, forms: household.digitForms } : {}),
      ...given,
    });
  }

  function kindOf(request: Request): SheetKind {
    const kind = findSheet(param(request, 'kind'));
    if (!kind) throw notFound('kind of sheet');
    return kind;
  }

  const made = (request: Request) => {
    try {
      return kindOf(request).make(wishOf(request));
    } catch (error) {
      if (!(error instanceof RangeError)) throw error;
      throw new Problem(422, `This cannot be made: ${error.message}.`, [
        { field: 'sheet', message: error.message },
      ]);
    }
  };

  router.get('/:kind.pdf', async (request, response) => {
    const sheet = made(request);
    const file = await pdfOf([sheet]);
    response.type('application/pdf');
    response.setHeader('content-disposition', `inline; filename="${param(request, 'kind')}.pdf"`);
    response.send(file);
  });

  router.get('/:kind.svg', (request, response) => {
    const { page = 1 } = checked(PageNumber, request.query);
    const found = made(request).pages[page - 1];
    if (!found) throw notFound('page');
    response.type('image/svg+xml').send(svgOf(found));
  });

  return router;
}
