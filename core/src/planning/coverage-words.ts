import { TO_MAKE, type ToMake } from '../materials/index.js';
import { joinWords } from '../numbers/index.js';
import { STRANDS, type Strand, type Use } from '../vocabulary/index.js';
import { draftWith } from './draft.js';
import type { Card, WeekModel } from './model.js';
import { mayBeInFocus } from './terms.js';

/** What a week is about for one child, and what not. */
export interface ChildCoverage {
  readonly childId: string;
  readonly touched: readonly { readonly strand: Strand; readonly days: number }[];
  readonly missing: readonly { readonly strand: Strand; readonly because: string }[];
}

/** For every child the strands in focus, on how many days, and why others are missing. */
export function coverageOf(model: WeekModel, cards: readonly Card[]): ChildCoverage[] {
  const draft = draftWith(model, cards);
  return model.children.map((child, c): ChildCoverage => {
    const days = STRANDS.map(() => new Set<number>());
    for (const { activity, day, focus } of cards) {
      const own = focus.find((one) => one.child === c);
      const hits = own && model.activities[activity]?.options[c]?.[own.option]?.hits;
      for (const { want } of hits ?? []) days[child.wants[want]?.strand ?? -1]?.add(day);
    }
    const weekIsFull = !model.activities.some((_, a) =>
      model.days.some((__, d) => draft.best(a, d, -Infinity) !== null),
    );
    return {
      childId: child.id,
      touched: STRANDS.flatMap((strand, s) =>
        (days[s]?.size ?? 0) > 0 ? [{ strand, days: days[s]?.size ?? 0 }] : [],
      ),
      missing: STRANDS.flatMap((strand, s) =>
        days[s]?.size === 0
          ? [{ strand, because: whyMissing(model, cards, { c, strand: s, weekIsFull }) }]
          : [],
      ),
    };
  });
}

function whyMissing(
  model: WeekModel,
  cards: readonly Card[],
  {
    c,
    strand,
    weekIsFull,
  }: { readonly c: number; readonly strand: number; readonly weekIsFull: boolean },
): string {
  const child = model.children[c];
  if (!child?.wants.some((want) => want.strand === strand)) return 'nothing open yet';
  const days = model.days.flatMap((day, d) => (day.open && day.here.includes(c) ? [d] : []));
  if (days.length === 0) return 'not here on an open day';
  const serving = model.activities.flatMap((activity, a) =>
    activity.options[c]?.some(({ hits }) => child.wants[hits[0]?.want ?? -1]?.strand === strand)
      ? [a]
      : [],
  );
  if (serving.length === 0) return 'no activity for what comes next';
  const barred = serving.map((a) => model.activities[a]?.barred[c] ?? null);
  const [missing] = serving
    .map((a) => model.activities[a]?.missing ?? [])
    .filter((words) => words.length > 0)
    .sort((x, y) => x.length - y.length);
  if (barred.every((one) => one === 'materials') && missing) return `needs ${joinWords(missing)}`;
  if (barred.every((one) => one === 'materials')) return 'too few materials for it';
  if (barred.every((one) => one !== null)) {
    if (barred.includes('longer')) return `its activities take longer than ${child.name} sits`;
    return barred.includes('allergy')
      ? 'an allergy to what it is played with'
      : 'from a later age on';
  }
  const able = serving.filter((a) => days.some((d) => mayBeInFocus(model, a, c, d)));
  if (able.length === 0) return child.careful ? 'only with small parts' : 'not on these days';
  const bands = new Set(able.map((a) => model.activities[a]?.band));
  const tables = cards.filter(
    (card) =>
      model.activities[card.activity]?.band === 'table' &&
      card.focus.some((one) => one.child === c),
  ).length;
  if (bands.size === 1 && bands.has('table') && tables >= child.tablesAWeek) {
    return 'only at the table, and there is no table time left';
  }
  const first = child.wants.find((want) => want.strand === strand);
  const better = child.wants.some(
    (want) => want.strand !== strand && want.value > (first?.value ?? 0),
  );
  if (better) return 'other next steps come first';
  return weekIsFull ? 'your minutes are used up' : 'waits for another week';
}

/** A next step that no activity here can be evidence for, with what would open it. */
export interface Unserved {
  readonly childId: string;
  readonly skillId: string;
  /** What the one that lacks least needs; empty where no activity asks for the skill at all. */
  readonly missing: readonly string[];
}

/** Next steps that nothing here serves: no activity asks for them, or its materials are not there. */
export function unservedIn(model: WeekModel): Unserved[] {
  return model.children.flatMap((child, c) =>
    child.wants.flatMap(({ skillId }, w): Unserved[] => {
      const serving = model.activities.filter((activity) =>
        activity.options[c]?.some(({ hits }) => hits.some(({ want }) => want === w)),
      );
      if (serving.some((activity) => activity.barred[c] === null)) return [];
      const [easiest] = serving
        .filter((activity) => activity.missing.length > 0)
        .sort((x, y) => x.missing.length - y.missing.length);
      if (serving.length > 0 && !easiest) return [];
      return [{ childId: child.id, skillId, missing: easiest?.missing ?? [] }];
    }),
  );
}

/** A thing to get or make, how, and the activities that it opens. */
export interface Opening extends ToMake {
  readonly activityIds: readonly string[];
}

/**
 * What to get or make next, one thing a week: of everything that is missing, what opens the most. Counted
 * is what its activities would bring to each child who could be in focus on them, where nothing else is
 * missing; null where nothing would help.
 */
export function openingIn(model: WeekModel): Opening | null {
  const found = new Map<Use, { ids: string[]; worth: number }>();
  for (const { id, lacks, options, barred } of model.activities) {
    if (lacks === null || !TO_MAKE[lacks]) continue;
    const worth = options.reduce((sum, ways, c) => {
      if (barred[c] !== 'materials') return sum;
      const wants = model.children[c]?.wants ?? [];
      const best = ways.map(({ hits }) =>
        hits.reduce((all, { want, part }) => all + part * (wants[want]?.value ?? 0), 0),
      );
      return sum + Math.max(0, ...best);
    }, 0);
    if (worth === 0) continue;
    const known = found.get(lacks) ?? { ids: [], worth: 0 };
    found.set(lacks, { ids: [...known.ids, id], worth: known.worth + worth });
  }
  const [best] = [...found].sort(([, x], [, y]) => y.worth - x.worth);
  const how = best && TO_MAKE[best[0]];
  return how ? { ...how, activityIds: best[1].ids } : null;
}
