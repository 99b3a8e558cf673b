import { type Goal, GOALS, SKILLS, goalCode, skillOf } from '../skills/index.js';
import { type Child, type Day, type Strand, dayInWords } from '../vocabulary/index.js';
import { type AtHome, ideasFor } from './at-home.js';
import { phraseOf } from './phrases.js';

/** What is concluded about a skill at two times, as far as a family page needs it. */
export interface FamilySkill {
  readonly skillId: string;
  readonly now: string;
  readonly before: string;
  /** Scored tries in all, and those of them on their own. */
  readonly scored: number;
  readonly own: number;
  /** Tries that were noted in the span. */
  readonly seen: number;
}

/** A line of the page; the educator chooses which stay and may write it anew. */
export interface FamilyLine {
  readonly key: string;
  readonly words: string;
}

export interface FamilyPage {
  readonly childId: string;
  readonly name: string;
  readonly from: Day;
  readonly to: Day;
  readonly title: string;
  /** What is secure, and became so in the span, first. */
  readonly knows: readonly FamilyLine[];
  /** What is on the way. */
  readonly growing: readonly FamilyLine[];
  readonly next: readonly FamilyLine[];
  readonly home: readonly FamilyLine[];
  readonly cautions: readonly FamilyLine[];
  /** Published goals that what is secure belongs to, with their sources. */
  readonly goals: readonly FamilyGoal[];
  readonly note: string;
}

export interface FamilyGoal {
  readonly code: string;
  readonly source: string;
  readonly says: string;
  /** Skills of it that are secure, of those there are. */
  readonly secure: number;
  readonly of: number;
}

const MOST_KNOWN = 8;
const MOST_GROWING = 4;
const MOST_NEXT = 3;
const IDEAS_AT_HOME = 2;
/** With a smaller share on their own, a skill was unsure before it was there. */
const UNSURE_BELOW = 0.75;
/** What stands under every page. */
export const TEACHERS_NOTE = 'A teacher’s note, not an assessment.';
const HOLDS: ReadonlySet<string> = new Set(['secure', 'assumed']);
const GROWS: ReadonlySet<string> = new Set(['started', 'nearly', 'review']);

const upper = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/**
 * A page for a family in plain sentences: what the child knows, what is growing, what comes next, and
 * two things to do at home.
 * @param skills every skill, in the order of the map
 * @param next skills that come next, the first first
 * @param noSmall whether somebody in the child's home must not meet small parts
 */
export function familyPage(
  child: Pick<Child, 'id' | 'name' | 'cautions'>,
  span: { readonly from: Day; readonly to: Day },
  skills: readonly FamilySkill[],
  next: readonly string[],
  noSmall: boolean,
): FamilyPage {
  const line = ({ skillId }: FamilySkill, words: string): FamilyLine => ({ key: skillId, words });
  const said = (one: FamilySkill): FamilyLine => line(one, `${upper(phraseOf(one.skillId))}.`);
  const known = keepHighest(skills.filter((one) => one.now === 'secure'));
  // New is only what was seen to be absent or unsure; what was never asked before is seen for the first time.
  const isFresh = (one: FamilySkill): boolean => !HOLDS.has(one.before);
  const news = (one: FamilySkill): string =>
    GROWS.has(one.before) || one.own < UNSURE_BELOW * one.scored
      ? 'new in this time'
      : 'seen for the first time';
  const fresh = known.filter(isFresh);
  const knows = [...fresh, ...known.filter((one) => !isFresh(one) && one.seen > 0)]
    .slice(0, MOST_KNOWN)
    .map((one) =>
      isFresh(one) ? line(one, `${upper(phraseOf(one.skillId))}: ${news(one)}.`) : said(one),
    );
  const growing = skills
    .filter((one) => GROWS.has(one.now) && one.seen > 0)
    .sort((a, b) => Number(b.now === 'nearly') - Number(a.now === 'nearly') || b.seen - a.seen)
    .slice(0, MOST_GROWING)
    .map((one) =>
      one.now === 'nearly' ? line(one, `Nearly there: ${phraseOf(one.skillId)}.`) : said(one),
    );
  const coming = next.slice(0, MOST_NEXT);
  const can = new Set(
    skills.filter(({ now }) => HOLDS.has(now) || now === 'nearly').map(({ skillId }) => skillId),
  );
  const strands = [...coming, ...growing.map((one) => one.key)].map(
    (skillId): Strand => skillOf(skillId).strand,
  );
  return {
    childId: child.id,
    name: child.name,
    ...span,
    title: `${child.name}, ${dayInWords(span.from)} to ${dayInWords(span.to)}`,
    knows,
    growing,
    next: coming.map((skillId) => ({ key: skillId, words: `${upper(phraseOf(skillId))}.` })),
    home: ideasFor(strands, IDEAS_AT_HOME, noSmall, can).map(({ title, words }: AtHome) => ({
      key: title,
      words: `${title}. ${words}`,
    })),
    cautions: cautionsOf(child, noSmall),
    goals: goalsOf(skills),
    note: TEACHERS_NOTE,
  };
}

/** Of the skills of one family only the furthest: who counts ten things counts five. */
function keepHighest(skills: readonly FamilySkill[]): FamilySkill[] {
  const stem = (id: string): string => id.replace(/-\d+$/, '');
  const order = new Map(SKILLS.map((skill, i) => [skill.id, i]));
  const last = new Map<string, FamilySkill>();
  for (const one of skills) {
    const known = last.get(stem(one.skillId));
    if (!known || (order.get(one.skillId) ?? 0) > (order.get(known.skillId) ?? 0)) {
      last.set(stem(one.skillId), one);
    }
  }
  // The ways to make a number are each of their own.
  return skills.filter(
    (one) => last.get(stem(one.skillId)) === one || stem(one.skillId) === 'bond',
  );
}

function cautionsOf(
  { name, cautions }: Pick<Child, 'name' | 'cautions'>,
  noSmall: boolean,
): FamilyLine[] {
  const lines: FamilyLine[] = [];
  if (noSmall) {
    lines.push({
      key: 'small',
      words: `${cautions.mouths ? `${name} still puts things into the mouth` : `${name} is under three`}: take only large things, and stay beside.`,
    });
  }
  if (cautions.allergies.length > 0) {
    lines.push({ key: 'allergies', words: `No ${cautions.allergies.join(', no ')}.` });
  }
  return lines;
}

/** Goals that something secure belongs to, the most complete first. */
function goalsOf(skills: readonly FamilySkill[]): FamilyGoal[] {
  const secure = new Set(skills.filter((one) => HOLDS.has(one.now)).map((one) => one.skillId));
  return GOALS.map(({ code, source, says }: Goal): FamilyGoal => {
    const matching = SKILLS.filter((skill) => skill.matches.map(goalCode).includes(code));
    return {
      code,
      source,
      says,
      secure: matching.filter((skill) => secure.has(skill.id)).length,
      of: matching.length,
    };
  }).filter((goal) => goal.secure > 0);
}
