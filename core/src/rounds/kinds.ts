import { matchSkills, skillOf } from '../skills/index.js';
import type { Activity, Round, RoundKind } from '../vocabulary/index.js';
import { along } from './along.js';
import { balance } from './balance.js';
import { byChance } from './by-chance.js';
import { call } from './call.js';
import { catchSlip } from './catch.js';
import { chart } from './chart.js';
import { compare } from './compare.js';
import { countOut } from './count-out.js';
import { cups } from './cups.js';
import { drawing } from './drawing.js';
import { frame } from './frame.js';
import type { RoundModule } from './game.js';
import { give } from './give.js';
import { glance } from './glance.js';
import { groups } from './groups.js';
import { hide } from './hide.js';
import { jar } from './jar.js';
import { join } from './join.js';
import { knockDown } from './knock-down.js';
import { match } from './match.js';
import { mirror } from './mirror.js';
import { name } from './name.js';
import { oneStep } from './one-step.js';
import { order } from './order.js';
import { partner } from './partner.js';
import { pattern } from './pattern.js';
import { predictCount } from './predict-count.js';
import { rote } from './rote.js';
import { share } from './share.js';
import { roundForSkill } from './skill-rounds.js';
import { sort } from './sort.js';
import { story } from './story.js';
import { takeSome } from './take-some.js';
import { tens } from './tens.js';
import { toTen } from './to-ten.js';
import { walkTrack } from './walk-track.js';
import { ways } from './ways.js';
import { weigh } from './weigh.js';

/** Every kind of round. */
export const MODULES: Readonly<Record<RoundKind, RoundModule>> = {
  rote,
  'count-out': countOut,
  give,
  'predict-count': predictCount,
  name,
  match,
  order,
  'walk-track': walkTrack,
  'one-step': oneStep,
  ways,
  'take-some': takeSome,
  hide,
  'by-chance': byChance,
  join,
  'knock-down': knockDown,
  'to-ten': toTen,
  frame,
  glance,
  compare,
  tens,
  groups,
  share,
  partner,
  jar,
  weigh,
  balance,
  along,
  cups,
  pattern,
  sort,
  chart,
  mirror,
  draw: drawing,
  story,
  call,
  catch: catchSlip,
};

/** Kinds of round that an activity of the household's own is played in, by its skills. */
const MOST_BY_SKILLS = 4;

const bySkills = new WeakMap<Activity, readonly Round[]>();

/** The chain of rounds of an activity; where it names none, those that its skills are asked in. */
export function roundsOf(activity: Activity): readonly Round[] {
  if (activity.rounds && activity.rounds.length > 0) return activity.rounds;
  const known = bySkills.get(activity);
  if (known) return known;
  const found = matchSkills(activity.skills)
    .flatMap((id) => roundForSkill(skillOf(id)) ?? [])
    .filter((one, i, all) => all.findIndex((other) => other.kind === one.kind) === i)
    .slice(0, MOST_BY_SKILLS);
  const rounds: readonly Round[] = found.length > 0 ? found : [{ kind: 'count-out' }];
  bySkills.set(activity, rounds);
  return rounds;
}

const surely = new WeakMap<Activity, ReadonlySet<string>>();

/** Those of its credits that an activity is sure to ask for where they are wanted. */
export function sureCreditsOf(activity: Activity): ReadonlySet<string> {
  const known = surely.get(activity);
  if (known) return known;
  const found = roundsOf(activity).flatMap((one) => {
    const { credits, seldom = () => [] } = MODULES[one.kind];
    const not = new Set(matchSkills(seldom(one)));
    return matchSkills(credits(one)).filter((id) => !not.has(id));
  });
  const all = creditsOf(activity);
  const both = new Set(found.filter((id) => all.has(id)));
  surely.set(activity, both);
  return both;
}

const credited = new WeakMap<Activity, ReadonlySet<string>>();

/** Skills that the answers of an activity's rounds can count for, of those that it lists. */
export function creditsOf(activity: Activity): ReadonlySet<string> {
  const known = credited.get(activity);
  if (known) return known;
  const own = new Set(matchSkills(activity.skills));
  const found = matchSkills(roundsOf(activity).flatMap((one) => MODULES[one.kind].credits(one)));
  const both = new Set(found.filter((id) => own.has(id)));
  credited.set(activity, both);
  return both;
}
