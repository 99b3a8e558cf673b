import { STRANDS, type Strand, matchSkills, skillOf } from '../skills/index.js';
import type { Activity, Band } from '../vocabulary/index.js';

/** What narrows the list of activities; `null` or empty narrows nothing. */
export interface ActivityFilter {
  readonly text: string;
  readonly strand: Strand | null;
  readonly skillId: string | null;
  readonly band: Band | null;
  /** Shortest form at most this many minutes. */
  readonly minutes: number | null;
  readonly mess: Activity['mess'] | null;
  /** Youngest of those who take part, in full years with a fraction. */
  readonly age: number | null;
}

export const NO_FILTER: ActivityFilter = {
  text: '',
  strand: null,
  skillId: null,
  band: null,
  minutes: null,
  mess: null,
  age: null,
};

/** An activity as the search looks at it, worked out once. */
export interface Indexed {
  readonly activity: Activity;
  readonly words: string;
  readonly skills: ReadonlySet<string>;
  readonly strands: readonly Strand[];
}

/** Prepares activities for searching. */
export function indexActivities(activities: readonly Activity[]): Indexed[] {
  return activities.map((activity) => {
    const ids = matchSkills(activity.skills);
    const skills = ids.map(skillOf);
    const within = new Set(skills.map((skill) => skill.strand));
    return {
      activity,
      words: [
        activity.title,
        ...skills.map((skill) => skill.title),
        ...activity.needs.map((need) => need.words),
        activity.makeIt,
      ]
        .join(' ')
        .toLowerCase(),
      skills: new Set(ids),
      strands: STRANDS.filter((strand) => within.has(strand)),
    };
  });
}

/** Those that fit the filter, in their order; every word of the text must occur. */
export function searchActivities(index: readonly Indexed[], filter: ActivityFilter): Indexed[] {
  const words = filter.text.toLowerCase().split(/\s+/).filter(Boolean);
  return index.filter(({ activity, words: all, skills, strands }) => {
    if (filter.band !== null && activity.band !== filter.band) return false;
    if (filter.minutes !== null && activity.minutes[0] > filter.minutes) return false;
    if (filter.mess !== null && activity.mess !== filter.mess) return false;
    if (filter.age !== null && activity.fromAge > filter.age) return false;
    if (filter.strand !== null && !strands.includes(filter.strand)) return false;
    if (filter.skillId !== null && !skills.has(filter.skillId)) return false;
    return words.every((word) => all.includes(word));
  });
}
