import { topsOf } from '../activities/index.js';
import { joinWords, plural } from '../numbers/index.js';
import { evaluate } from '../activities/quantity.js';
import { careFor, stockFor } from '../materials/index.js';
import type { Activity, PlanEntry, Participant } from '../vocabulary/index.js';
import { type Card, type ModelActivity, minutesOf } from './model.js';
import { INVITATIONS, MOST_A_WEEK } from './settings.js';
import { besideDay } from './terms.js';
import type { PlannedWeek } from './week-model.js';

/** What lies out for some children, to do by themselves, while the adult leads something beside it. */
export interface Invitation {
  readonly activity: number;
  readonly day: number;
  readonly moment: number;
  readonly children: readonly number[];
  readonly minutes: number;
}

/** What a week with this invitation in it already weighs against it. */
const AGAIN = 0.5;
/** What serves a next step is laid out rather. */
const SERVES = 0.3;

/**
 * Lays something out wherever the adult leads a few while others are here: one invitation, or a second
 * where the first is not enough for all. Never what a led card of the day uses, and nothing that would
 * share a scarce material with one at the same moment.
 */
export function invitationsFor(week: PlannedWeek, cards: readonly Card[]): Invitation[] {
  const { model, facts } = week;
  const found: Invitation[] = [];
  const stands = facts.entries.filter((entry) => entry.invitation && entry.pinned);
  model.days.forEach(({ day, open, here }, d) => {
    if (!open) return;
    model.moments.forEach(({ id }, m) => {
      const led = cards.filter(
        (card) =>
          card.day === d &&
          card.moment === m &&
          model.activities[card.activity]?.band !== 'anytime',
      );
      if (led.length === 0 || stands.some((one) => one.day === day && one.momentId === id)) return;
      const minutes = led.reduce((sum, card) => {
        const activity = model.activities[card.activity] as ModelActivity;
        return sum + minutesOf(activity, card.focus.length);
      }, 0);
      const busy = (c: number): boolean =>
        led.every((card) => card.focus.some(({ child }) => child === c));
      let others = here.filter((c) => !busy(c));
      for (let n = 0; n < INVITATIONS && others.length > 0; n++) {
        const next = bestFor(week, { d, m, led, others, found, cards });
        if (!next) break;
        found.push({ ...next, day: d, moment: m, minutes });
        others = others.filter((c) => !next.children.includes(c));
      }
    });
  });
  return found;
}

function bestFor(
  { model, facts }: PlannedWeek,
  at: {
    readonly d: number;
    readonly m: number;
    readonly led: readonly Card[];
    readonly others: readonly number[];
    readonly found: readonly Invitation[];
    readonly cards: readonly Card[];
  },
): { activity: number; children: readonly number[] } | null {
  const { d, m, led, others, found, cards } = at;
  const shared = model.moments[m]?.shared ?? true;
  let best: { activity: number; children: readonly number[]; score: number } | null = null;
  model.activities.forEach((activity, a) => {
    const uses = [...cards, ...found].filter((one) => one.activity === a);
    const isUsed =
      uses.length >= MOST_A_WEEK ||
      uses.some((one) => one.day === d || besideDay(model, d).includes(one.day));
    if (!activity.leftOut || isUsed || activity.missing.length > 0 || activity.notOn.includes(d)) {
      return;
    }
    const near = shared ? (model.days[d]?.here ?? []) : others;
    if (activity.keptFrom.some((c) => near.includes(c))) return;
    const isCareful = near.some((c) => model.children[c]?.careful);
    const most = isCareful ? activity.mostSafe : activity.mostAny;
    const able = others.filter((c) => {
      const barred = activity.barred[c];
      return barred === null || barred === 'longer';
    });
    const children = able.slice(0, most[0] ?? 0);
    if (children.length === 0) return;
    const known = facts.activities.find((one) => one.id === activity.id) as Activity;
    if (model.moments[m]?.outdoors && known.place === 'in') return;
    const beside = led.flatMap((card) => {
      const one = facts.activities.find(({ id }) => id === model.activities[card.activity]?.id);
      return one ? [{ activity: one, size: card.focus.length }] : [];
    });
    if (sharesScarce(known, children.length, beside, facts, near)) return;
    const served = children.reduce((sum, c) => {
      const hit = activity.options[c]?.[0]?.hits[0];
      return sum + (hit ? hit.part * (model.children[c]?.wants[hit.want]?.value ?? 0) : 0);
    }, 0);
    const score = children.length + SERVES * served + activity.fresh - AGAIN * uses.length;
    if (!best || score > best.score) best = { activity: a, children, score };
  });
  return best;
}

/** True where what lies out would take what a led activity at the same moment needs. */
function sharesScarce(
  activity: Activity,
  size: number,
  beside: readonly { readonly activity: Activity; readonly size: number }[],
  { materials, children, today }: PlannedWeek['facts'],
  near: readonly number[],
): boolean {
  const care = careFor(
    near.flatMap((c) => children[c]?.child ?? []),
    today,
  );
  const topsFor = (one: Activity, n: number): number[] =>
    Array.from({ length: n }, () => topsOf(one)[0] ?? 0);
  return activity.needs.some((need) => {
    const taken = beside.reduce((sum, other) => {
      const same = other.activity.needs.filter(({ use }) => use === need.use);
      const sizes = { tops: topsFor(other.activity, other.size) };
      return sum + same.reduce((all, one) => all + evaluate(one.must, sizes), 0);
    }, 0);
    if (taken === 0) return false;
    return (
      taken + evaluate(need.must, { tops: topsFor(activity, size) }) >
      stockFor(need, materials, care)
    );
  });
}

/** An invitation as an entry of the plan. */
export function invitationEntry(
  { model, facts }: PlannedWeek,
  { activity: a, day, moment, children, minutes }: Invitation,
  id: string,
): PlanEntry {
  const activity = facts.activities.find((one) => one.id === model.activities[a]?.id) as Activity;
  return {
    id,
    day: model.days[day]?.day ?? facts.today,
    momentId: model.moments[moment]?.id ?? '',
    activityId: activity.id,
    participants: children.flatMap((c): Participant[] => {
      const top = model.activities[a]?.options[c]?.[0]?.top ?? topsOf(activity)[0] ?? 0;
      return [{ childId: facts.children[c]?.child.id ?? '', rangeMax: top }];
    }),
    minutes,
    with: '',
    state: 'planned',
    invitation: true,
    version: 1,
  };
}

/**
 * Who minds whom beside an entry: what the others have meanwhile, or, for an invitation, what the adult
 * leads. Empty where everybody is in it, or may be.
 */
export function meanwhileWords({ model, facts }: PlannedWeek, entry: PlanEntry): string {
  const nameOf = (id: string): string =>
    facts.children.find(({ child }) => child.id === id)?.child.name ?? '';
  const namesIn = (one: PlanEntry): string =>
    joinWords(one.participants.map(({ childId }) => nameOf(childId)));
  const titleOf = (one: PlanEntry): string =>
    facts.activities.find(({ id }) => id === one.activityId)?.title ?? '';
  const bandOf = (one: PlanEntry): string =>
    facts.activities.find(({ id }) => id === one.activityId)?.band ?? 'anytime';
  const beside = facts.entries.filter(
    (one) => one !== entry && one.day === entry.day && one.momentId === entry.momentId,
  );
  if (entry.invitation) {
    const led = beside.filter((one) => !one.invitation && bandOf(one) !== 'anytime');
    const by = `${namesIn(entry)} ${plural(entry.participants.length, 'does', 'do')} it without you`;
    return led.length === 0
      ? `${by}.`
      : `${by}, while you lead ${joinWords(led.map((one) => `${titleOf(one)} with ${namesIn(one)}`))}.`;
  }
  if (bandOf(entry) === 'anytime')
    return 'Everybody may join in; those in focus are watched and noted.';
  const here = model.days.find(({ day }) => day === entry.day)?.here ?? [];
  const others = here.flatMap((c) => {
    const child = facts.children[c]?.child;
    return child && !entry.participants.some(({ childId }) => childId === child.id) ? [child] : [];
  });
  if (others.length === 0) return '';
  // Who is in focus here joins an invitation of the same moment only before or after.
  const isOther = ({ childId }: PlanEntry['participants'][number]): boolean =>
    others.some(({ id }) => id === childId);
  const invited = beside.flatMap((one) => {
    const participants = one.participants.filter(isOther);
    return one.invitation && participants.length > 0 ? [{ ...one, participants }] : [];
  });
  const left = others.filter(
    ({ id }) => !invited.some((one) => one.participants.some(({ childId }) => childId === id)),
  );
  const led = beside.filter((one) => !one.invitation);
  const apart = left.filter(
    ({ id }) => !led.some((one) => one.participants.some(({ childId }) => childId === id)),
  );
  return [
    ...(invited.length > 0
      ? [
          `Meanwhile ${joinWords(
            invited.map(
              (one) =>
                `${namesIn(one)} ${plural(one.participants.length, 'has', 'have')} ${titleOf(one)}`,
            ),
          )}, by themselves.`,
        ]
      : []),
    ...(apart.length > 0
      ? [
          `${joinWords(apart.map(({ name }) => name))} ${plural(apart.length, 'plays', 'play')} near you.`,
        ]
      : []),
  ].join(' ');
}
