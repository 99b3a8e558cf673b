import { FamilyDraft } from '@gumo/core/contract';
import { nextSteps } from '@gumo/core/activities';
import { conclude } from '@gumo/core/evidence';
import { TEACHERS_NOTE, familyPage } from '@gumo/core/family';
import type { Block } from '@gumo/core/sheets';
import { mustNotMeetSmallParts } from '@gumo/core/materials';
import { Day, FamilyLetter, Id, addDays, speaksOf } from '@gumo/core/vocabulary';
import { Router } from 'express';
import * as v from 'valibot';
import { checked, notFound, wrongField } from '../faults.js';
import type { Context } from './context.js';
import { addRows } from './rows.js';
import { answer } from './answer.js';

const Asked = v.object({ child: Id, from: Day, to: Day });
const LOOK_BACK = 20_000;

/** Pages for families: a first wording from what was seen, and those that were kept. */
export function familiesRoutes(context: Context): Router {
  const { store, progress } = context;
  const router = Router();

  /** What could be said of a child for a span of days, before anyone has chosen or changed a word. */
  router.get('/draft', (request, response) => {
    const { child: id, from, to } = checked(Asked, request.query);
    const child = store.children.find(id);
    if (!child) throw notFound('child');
    if (to < from) throw wrongField('to', 'must not be before from');
    const about = { speaks: speaksOf(child) };
    const now = progress.asIf(child, { day: to });
    const before = new Map(
      conclude(progress.asIf(child, { day: addDays(from, -1) }), from, about).map((view) => [
        view.skillId,
        view.status,
      ]),
    );
    const seen = new Map<string, number>();
    for (const { day, skillId } of store.facts.valid(child.id, null, LOOK_BACK)) {
      if (day >= from && day <= to) seen.set(skillId, (seen.get(skillId) ?? 0) + 1);
    }
    const skills = conclude(now, to, about).map((view) => ({
      skillId: view.skillId,
      now: view.status,
      before: before.get(view.skillId) ?? 'not-started',
      scored: view.scored,
      own: view.own,
      seen: seen.get(view.skillId) ?? 0,
    }));
    const next = nextSteps(now, to, speaksOf(child)).map((step) => step.skillId);
    answer(
      response,
      FamilyDraft,
      familyPage(child, { from, to }, skills, next, mustNotMeetSmallParts(child, to)),
    );
  });

  addRows(router, '', context, {
    rows: store.families,
    schema: FamilyLetter,
    what: 'family page',
    changed: 'families',
    removable: true,
    check: ({ childId, from, to }) => {
      if (!store.children.has(childId)) throw wrongField('childId', 'is not a child here');
      if (to < from) throw wrongField('to', 'must not be before from');
    },
  });

  return router;
}

const PARTS = [
  ['knows', 'Secure'],
  ['growing', 'Growing'],
  ['next', 'What comes next'],
  ['home', 'Two things to do at home'],
  ['cautions', 'To take care'],
] as const;

/** A kept page as blocks of words for the printer. */
export function familyBlocks(letter: FamilyLetter, title: string): Block[] {
  return [
    { kind: 'title', words: title },
    ...PARTS.flatMap(([part, heading]): Block[] =>
      letter[part].length === 0
        ? []
        : [
            { kind: 'heading', words: heading },
            ...letter[part].map((words): Block => ({ kind: 'text', words })),
          ],
    ),
    { kind: 'text', words: TEACHERS_NOTE, soft: true },
  ];
}

/** The second page: published goals with their sources. */
export function goalBlocks({ goals }: FamilyLetter, name: string): Block[] {
  const sources = [...new Set(goals.map((goal) => goal.source))];
  return [
    { kind: 'title', words: `${name}, and published goals` },
    { kind: 'text', words: TEACHERS_NOTE, soft: true },
    ...sources.flatMap((source): Block[] => [
      { kind: 'heading', words: source },
      ...goals
        .filter((goal) => goal.source === source)
        .map((goal): Block => ({
          kind: 'text',
          words: `${goal.code}: ${goal.says} ${goal.secure} of ${goal.of} steps are secure.`,
        })),
    ]),
  ];
}
