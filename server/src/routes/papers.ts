import { guessesOf } from '@gumo/core/details';
import { conclude } from '@gumo/core/evidence';
import {
  type Block,
  GraphPaper,
  HomePaper,
  type Sheet,
  graphPage,
  guessPage,
  homePages,
  materialsLabels,
  slipPage,
  stringPages,
  usualWish,
  weekPages,
  wordPages,
} from '@gumo/core/sheets';
import { slipRows } from '@gumo/core/rounds';
import { STRAND_TITLES, skillOf, skillsOfStrand, strandsInUse } from '@gumo/core/skills';
import { Day, WeekSheet, addDays, dayInWords, speaksOf } from '@gumo/core/vocabulary';
import { type Request, type Response, Router } from 'express';
import * as v from 'valibot';
import { Fault, checked, notFound } from '../faults.js';
import { type Context, childOf, param } from './context.js';
import { activityIn, needsFor } from '../services/needs.js';
import { familyBlocks, goalBlocks } from './families.js';
import { cardsOfWeek } from './exports.js';
import { sendPdf } from './send-pdf.js';

/** Tries that are looked at for a drawing. */
const LOOK_BACK = 5_000;
const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

/** What an adult takes along on paper: the week, what to lay ready, a child's strings of beads. */
export function papersRoutes(context: Context): Router {
  const { store, printer, progress } = context;
  const router = Router();
  const paper = () => store.household.all()[0]?.paper ?? 'a4';

  const send = (response: Response, name: string, ...sheets: Sheet[]): Promise<void> =>
    sendPdf(response, printer, name, sheets);

  router.get('/week/:from.pdf', async (request: Request, response) => {
    const from = checked(WeekSheet.entries.from, param(request, 'from'));
    const open = store.household.all()[0]?.openDays ?? [1, 2, 3, 4, 5];
    const rows = cardsOfWeek(store, from);
    const days = WEEKDAYS.flatMap((weekday, i) => {
      const day = addDays(from, i);
      const cards = rows.filter((row) => row.entry.day === day);
      if (cards.length === 0 && !open.includes(i + 1)) return [];
      return [
        {
          name: `${weekday} ${dayInWords(day)}`,
          cards: cards.map(({ entry, activity, moment, children }) => ({
            moment: `${moment.time.replace(/^0/, '')} ${moment.name} · ${entry.minutes} min`,
            title: activity.title,
            about: children.map(({ child, top }) => `${child.name} to ${top}`).join(', '),
          })),
        },
      ];
    });
    const title = `The week of ${dayInWords(from)}`;
    await send(response, 'week', weekPages(paper(), title, days));
  });

  router.get('/ready/:day.pdf', async (request: Request, response) => {
    const day = checked(v.object({ day: Day }), { day: param(request, 'day') }).day;
    const { away, gotReady } = store.days.find(day);
    const here = store.children
      .all()
      .filter((child) => !child.archived && !away.includes(child.id));
    const lines = needsFor(store, store.plan.ofDay(day), () => here);
    const title = `Get ready for ${dayInWords(day)}`;
    const blocks: Block[] = [
      { kind: 'title', words: title },
      ...lines.map((line): Block => ({
        kind: 'item',
        lead: String(line.count),
        words: line.material?.name ?? line.words,
        tail: [line.short > 0 ? `${line.short} short` : '', line.material?.box ?? '']
          .filter((one) => one !== '')
          .join(' · '),
        done: gotReady.includes(line.key),
      })),
      ...(lines.length === 0
        ? [{ kind: 'text' as const, words: 'Nothing is planned that needs materials.', soft: true }]
        : []),
    ];
    await send(response, 'get-ready', wordPages(paper(), title, blocks));
  });

  /** What a day's cards ask, on one page to tick. */
  router.get('/slip/:day.pdf', async (request: Request, response) => {
    const { day } = checked(v.object({ day: Day }), { day: param(request, 'day') });
    const rows = slipRows({
      day,
      entries: store.plan.ofDay(day),
      moments: store.household.all()[0]?.moments ?? [],
      children: store.children.all().filter((child) => !child.archived),
      activityOf: (id) => activityIn(store, id) ?? undefined,
    });
    if (rows.length === 0)
      throw new Fault('impossible', 'Nothing is planned that can be asked on paper.');
    await send(response, 'slip', slipPage(paper(), `Slip for ${dayInWords(day)}`, rows));
  });

  /** A graph that lies on the table; nothing of it is kept. */
  router.post('/graph.pdf', async (request: Request, response) => {
    await send(response, 'graph', graphPage(paper(), checked(GraphPaper, request.body)));
  });

  /** What goes home after a game; nothing of it is kept. */
  router.post('/home.pdf', async (request: Request, response) => {
    await send(response, 'home', homePages(paper(), checked(HomePaper, request.body)));
  });

  router.get('/labels.pdf', async (_request, response) => {
    const boxes = new Map<string, string[]>();
    for (const { box, name } of store.materials.all()) {
      if (box !== '') boxes.set(box, [...(boxes.get(box) ?? []), name]);
    }
    const sorted = [...boxes].sort(([a], [b]) => a.localeCompare(b, 'en', { numeric: true }));
    if (sorted.length === 0) {
      throw new Fault('impossible', 'No material has a box yet: say where each one is kept.');
    }
    const labels = materialsLabels(
      { ...usualWish(), paper: paper() },
      sorted.map(([name, materials]) => ({ name, materials })),
    );
    await send(response, 'labels', labels);
  });

  /** A page for a family as it was kept, and the published goals where they belong to it. */
  router.get('/family/:id.pdf', async (request: Request, response) => {
    const letter = store.families.find(param(request, 'id'));
    if (!letter) throw notFound('family page');
    const name = store.children.find(letter.childId)?.name ?? '';
    const title = `${name}, ${dayInWords(letter.from)} to ${dayInWords(letter.to)}`;
    const sheets = [wordPages(paper(), title, familyBlocks(letter, title))];
    if (letter.withGoals && letter.goals.length > 0) {
      sheets.push(wordPages(paper(), `${title}: goals`, goalBlocks(letter, name)));
    }
    await send(response, 'family', ...sheets);
  });

  /** What a child guessed and then counted, drawn without words. */
  router.get('/guesses/:id.pdf', async (request: Request, response) => {
    const child = childOf(context, request);
    const guesses = guessesOf(store.facts.valid(child.id, null, LOOK_BACK));
    if (guesses.length === 0) throw new Fault('impossible', 'Nothing was guessed and counted yet.');
    await send(response, 'guesses', guessPage(paper(), child.name, guesses));
  });

  router.get('/strings/:id.pdf', async (request: Request, response) => {
    const child = childOf(context, request);
    const day = context.today();
    const looks = new Map(
      conclude(progress.of(child), day, { speaks: speaksOf(child) }).map((view) => [
        view.skillId,
        view.status,
      ]),
    );
    const rows = strandsInUse().map((strand) => ({
      title: STRAND_TITLES[strand],
      beads: skillsOfStrand(strand).map(({ id }) => ({
        short: skillOf(id).short,
        look: looks.get(id) ?? ('not-started' as const),
      })),
    }));
    const about = `As it is on ${dayInWords(day)} ${day.slice(0, 4)}`;
    await send(response, 'strings', stringPages(paper(), child.name, about, rows));
  });

  return router;
}
