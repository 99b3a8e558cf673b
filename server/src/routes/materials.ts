import { Activities, NeedLines } from '@gumo/core/contract';
import { LIBRARY } from '@gumo/core/activities';
import { findSkill, matchSkills } from '@gumo/core/skills';
import {
  type Child,
  Day,
  Graph,
  Kit,
  OwnActivity,
  Song,
  Material,
  addDays,
} from '@gumo/core/vocabulary';
import { Router } from 'express';
import * as v from 'valibot';
import { checked, wrongField } from '../faults.js';
import type { Context } from './context.js';
import { addRows } from './rows.js';
import { answer } from './answer.js';
import { needsFor } from '../services/needs.js';

const WeekQuery = v.object({ from: Day });
const DAYS = 7;
/** Activities, the household, songs and kits, and what the week needs of them. */
export function materialsRoutes(context: Context): Router {
  const { store } = context;
  const router = Router();

  router.get('/activities', (_request, response) => {
    answer(response, Activities, [
      ...LIBRARY,
      ...store.activities.all().filter((one) => !one.archived),
    ]);
  });
  addRows(router, '/activities/own', context, {
    rows: store.activities,
    schema: OwnActivity,
    what: 'activity',
    changed: 'activities',
    removable: false,
    check: ({ skills }) => {
      skills.forEach((pattern, i) => {
        const known = pattern.endsWith('*') ? matchSkills([pattern])[0] : findSkill(pattern);
        if (!known) throw wrongField(`skills.${i}`, 'is not in the skill map');
      });
    },
  });
  addRows(router, '/materials', context, {
    rows: store.materials,
    schema: Material,
    what: 'material',
    changed: 'materials',
    removable: true,
    check: ({ count, colors }) => {
      const sum = colors.reduce((all, color) => all + color.count, 0);
      if (colors.length > 0 && sum > count) {
        throw wrongField('colors', `add up to ${sum}, more than the count of ${count}`);
      }
    },
  });
  addRows(router, '/songs', context, {
    rows: store.songs,
    schema: Song,
    what: 'song',
    changed: 'activities',
    removable: true,
    check: ({ direction, from, to }) => {
      if (direction === 'up' ? from > to : from < to) {
        throw wrongField(
          'to',
          direction === 'up' ? 'must not be below from' : 'must not be above from',
        );
      }
    },
  });
  addRows(router, '/graphs', context, {
    rows: store.graphs,
    schema: Graph,
    what: 'graph',
    changed: 'graphs',
    removable: true,
  });
  addRows(router, '/kits', context, {
    rows: store.kits,
    schema: Kit,
    what: 'kit',
    changed: 'materials',
    removable: true,
    check: ({ contents }) => {
      contents.forEach(({ materialId }, i) => {
        if (!store.materials.has(materialId)) {
          throw wrongField(`contents.${i}.materialId`, 'is not a material of this household');
        }
      });
    },
  });

  /** What seven days need: the most of any day, and the sum of what is used up. */
  router.get('/needs', (request, response) => {
    const { from } = checked(WeekQuery, request.query);
    const days = Array.from({ length: DAYS }, (_, i) => addDays(from, i));
    const children = store.children.all().filter((child) => !child.archived);
    const here = (day: string): readonly Child[] => {
      const { away } = store.days.find(day);
      return children.filter((child) => !away.includes(child.id));
    };
    answer(
      response,
      NeedLines,
      needsFor(
        store,
        days.flatMap((day) => store.plan.ofDay(day)),
        here,
      ),
    );
  });

  return router;
}
