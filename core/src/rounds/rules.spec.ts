import { LIBRARY, topsOf } from '../activities/index.js';
import { type ChildState, emptyState, fold } from '../evidence/index.js';
import { seeded } from '../numbers/index.js';
import { isRight } from '../pads/index.js';
import { SKILLS, matchSkills, skillOf } from '../skills/index.js';
import { type USES, type Activity, type AnswerMode, type SceneName } from '../vocabulary/index.js';
import { lowOf } from './game.js';
import { MODULES, creditsOf, roundsOf } from './kinds.js';
import { playOut } from './play.js';
import type { Question } from './question.js';
import type { Session } from './session.js';

/** A child who is sure of some skills, by the educator's word. */
function knowing(ids: readonly string[]): ChildState {
  let state = emptyState('c', 'middle');
  ids.forEach((skillId, i) => {
    const word = {
      id: `00000000-0000-4000-8000-${String(i).padStart(12, '0')}`,
      childId: 'c',
      skillId,
      at: '2026-03-01T08:00:00.000Z',
      day: '2026-03-01',
      says: 'secure' as const,
      note: '',
      notedBy: '',
    };
    const next = fold(state, { kind: 'word', word });
    if ('state' in next) state = next.state;
  });
  return state;
}

const TO_FIVE = SKILLS.filter((skill) => skill.to > 0 && skill.to <= 5).map(({ id }) => id);

interface Kid {
  readonly what: string;
  readonly modes: readonly AnswerMode[];
  readonly state: ChildState;
}
/** Four kinds of child: speaks and knows the numbers to five; points; fingers; the youngest. */
const KIDS: readonly Kid[] = [
  { what: 'speaks', modes: ['speaks'], state: knowing(TO_FIVE) },
  { what: 'points', modes: ['points', 'hands'], state: knowing(TO_FIVE) },
  { what: 'fingers', modes: ['fingers', 'points'], state: emptyState('c', 'middle') },
  { what: 'youngest', modes: ['speaks', 'points'], state: emptyState('c', 'middle') },
];
const RANGES = [3, 5, 10, 20, 100];
const QUESTIONS = 40;
const SEED = 20260310;

interface Run {
  readonly activity: Activity;
  readonly top: number;
  readonly kid: Kid;
  readonly wants: readonly string[];
  readonly questions: readonly Question[];
}

function session(activity: Activity, top: number, kid: Kid, wants: readonly string[]): Session {
  return {
    activity,
    top,
    state: kid.state,
    name: 'Ilse',
    modes: kid.modes,
    wants,
    past: [],
    came: [],
    picked: null,
    chosen: null,
    today: '2026-03-10',
    seed: `${activity.id}/${top}/${kid.what}`,
    language: 'en',
    fill: 'row',
    forced: null,
  };
}

/** Two in three are right; the others are not yet, and nothing is tapped. */
function run(activity: Activity, top: number, kid: Kid): Run {
  const random = seeded(SEED + top);
  const wants = skillsToWant(activity, top, kid).slice(0, 1);
  const played = playOut(session(activity, top, kid, wants), QUESTIONS, random, (question, at) => ({
    outcome:
      at % 3 === 2 || (question.right !== null && !isRight(question, question.right))
        ? 'not-yet'
        : 'own',
    tapped: question.heard ? null : question.right,
  }));
  return { activity, top, kid, wants, questions: played.map((one) => one.question) };
}

const ALOUD = ['say', 'say-back', 'say-on', 'step'];

/** What a card of this range would be there for. */
function skillsToWant(activity: Activity, top: number, { modes }: Kid): string[] {
  const low = lowOf(top);
  const open = [...creditsOf(activity)].filter((id) => {
    const { family, to } = skillOf(id);
    return to <= top && (modes.includes('speaks') || !ALOUD.includes(family));
  });
  const near = open.filter((id) => skillOf(id).to >= low);
  return near.length > 0 ? near : open;
}

const runs: Run[] = [];
beforeAll(() => {
  for (const activity of LIBRARY) {
    const tops = RANGES.filter((top) => topsOf(activity).includes(top));
    for (const top of tops.length > 0 ? tops : [5]) {
      for (const kid of KIDS) runs.push(run(activity, top, kid));
    }
  }
});

const about = ({ activity, top, kid }: Run): string => `${activity.id} to ${top}, ${kid.what}`;

/** Walks through ways and countdowns, and what chance brought before, may hold a zero. */
const WALKS = ['ways', 'one-step', 'chart', 'predict-count'];
/** What may be a fact and evidence of nothing: formed in dough, said along, how far off. */
const FACTS = ['draw', 'rote', 'predict-count', 'jar'];

/** What an activity has to list before this can be drawn. */
const USES_OF: Partial<Record<SceneName, readonly (typeof USES)[number][]>> = {
  plates: ['plate', 'snack'],
  tray: ['tray'],
  beads: ['string'],
  hands: ['paper'],
  rail: ['rail'],
  tubes: ['tube-box'],
  towers: ['cube'],
  sack: ['sack'],
  cloth: ['cloth'],
  frame: ['frame', 'mat'],
  frames: ['frame'],
  tile: ['tile', 'paper'],
  dots: ['card', 'plate'],
  dice: ['die'],
  cups: ['cup'],
  cards: ['card', 'floor-card', 'cup', 'vehicle', 'mat', 'board', 'sheet', 'chart', 'hoop', 'coin'],
  track: ['track', 'floor-card', 'songbook' as never],
  coins: ['coin'],
  tens: ['tens', 'coin'],
  mirror: ['mirror'],
};

describe('rounds', () => {
  it('are given by every activity, and every listed skill is among what they credit', () => {
    for (const activity of LIBRARY) {
      expect(activity.rounds?.length ?? 0)
        .withContext(activity.id)
        .toBeGreaterThan(0);
      const listed = matchSkills(activity.skills);
      const credited = creditsOf(activity);
      expect(listed.filter((id) => !credited.has(id)))
        .withContext(activity.id)
        .toEqual([]);
    }
  });

  it('ask something in every range', () => {
    for (const one of runs) {
      expect(one.questions.length).withContext(about(one)).toBe(QUESTIONS);
      for (const { say } of one.questions) expect(say).withContext(about(one)).not.toBe('');
    }
  });

  it('draw only what the activity lists', () => {
    for (const activity of LIBRARY) {
      const uses = new Set<string>(activity.needs.map((need) => need.use));
      for (const { scene, kind } of roundsOf(activity)) {
        const needed = scene ? USES_OF[scene] : undefined;
        const fits = !needed || needed.some((use) => uses.has(use));
        expect(fits).withContext(`${activity.id}: ${kind} draws ${scene}`).toBeTrue();
      }
    }
  });

  it('ask only for the activity’s own skills', () => {
    for (const one of runs) {
      const own = new Set(matchSkills(one.activity.skills));
      const other = one.questions
        .flatMap(({ counts }) => counts)
        .filter(({ skillId }) => !own.has(skillId));
      expect(other).withContext(about(one)).toEqual([]);
      const core = one.questions.filter(({ cameUp }) => cameUp === null);
      const empty = core.filter(({ counts, kind }) => counts.length === 0 && !FACTS.includes(kind));
      expect(empty.map(({ kind, key }) => `${kind} ${key}`))
        .withContext(about(one))
        .toEqual([]);
    }
  });

  it('ask what put the child on the card within three questions', () => {
    for (const one of runs) {
      const [want] = one.wants;
      // The puppet's slip is for what the child is sure of, whatever is wanted.
      if (want === undefined || one.activity.id === 'puppet-slip') continue;
      const asked = one.questions
        .slice(0, 3)
        .flatMap(({ counts }) => counts.map(({ skillId }) => skillId));
      const chance = one.questions.slice(0, 3).some(({ cameUp }) => cameUp !== null);
      if (!chance)
        expect(asked)
          .withContext(`${about(one)}: ${want}`)
          .toContain(want);
    }
  });

  it('ask zero at most once in six where the core chooses', () => {
    for (const one of runs) {
      const chosen = one.questions.filter(
        ({ cameUp, kind }) => cameUp === null && !WALKS.includes(kind),
      );
      const zeros = chosen.filter(({ lying }) => lying.includes(0)).length;
      expect(zeros * 6)
        .withContext(`${about(one)}: ${zeros} of ${chosen.length}`)
        .toBeLessThanOrEqual(Math.max(6, one.questions.length));
    }
  });

  it('put the larger side left as often as right, and ask for fewer as often as more', () => {
    for (const one of runs) {
      const pairs = one.questions.flatMap(({ right, cameUp }) =>
        right?.kind === 'compare' &&
        cameUp === null &&
        right.left !== right.right &&
        (right.asked === 'more' || right.asked === 'fewer' || right.asked === 'sign')
          ? [right]
          : [],
      );
      if (pairs.length < 12) continue;
      const left = pairs.filter((pair) => pair.left > pair.right).length / pairs.length;
      expect(left)
        .withContext(`${about(one)}: left`)
        .toBeGreaterThan(0.34);
      expect(left)
        .withContext(`${about(one)}: left`)
        .toBeLessThan(0.66);
      const asked = pairs.filter((pair) => pair.asked !== 'sign');
      if (asked.length < 12) continue;
      const more = asked.filter((pair) => pair.asked === 'more').length / asked.length;
      expect(more)
        .withContext(`${about(one)}: more`)
        .toBeGreaterThan(0.34);
      expect(more)
        .withContext(`${about(one)}: more`)
        .toBeLessThan(0.66);
    }
  });

  it('speak as a teacher would', () => {
    const odd = [
      /(?<!-)\bone (counters|things|dots|pegs|cubes|beads|fingers|letters|pieces)\b/i,
      /\bOne go away/,
      /undefined|NaN|null/,
      / {2}/,
      /\bone (are)\b/i,
      /\.\./,
    ];
    for (const one of runs) {
      for (const question of one.questions) {
        for (const text of [question.say, question.lay, question.sentence?.words ?? '']) {
          for (const wrong of odd)
            expect(wrong.test(text))
              .withContext(`${about(one)}: ${text}`)
              .toBeFalse();
        }
      }
    }
  });

  it('credit every kind with what its questions count for', () => {
    for (const one of runs) {
      for (const { kind, part, counts } of one.questions) {
        const round = roundsOf(one.activity)[part]!;
        const credited = new Set(matchSkills(MODULES[kind].credits(round)));
        for (const { skillId } of counts) {
          expect(credited.has(skillId))
            .withContext(`${about(one)}: ${kind} counts for ${skillId}`)
            .toBeTrue();
        }
      }
    }
  });
});
