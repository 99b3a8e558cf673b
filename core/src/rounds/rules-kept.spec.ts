import { triesOf } from '../evidence/index.js';
import { isAnswered, padFor } from '../pads/index.js';
import { matchSkills, skillOf } from '../skills/index.js';
import type { CaptureRecord } from '../vocabulary/index.js';
import { aTry } from '../vocabulary/testing.js';
import { MODULES } from './kinds.js';
import { triedAs } from './play.js';
import { ALOUD, FACTS, quoted, each, roundOf, breaks } from './rules-testing.js';

/** What is counted or compared. */
const COUNTED = ['touch', 'total', 'more', 'differ', 'greater'];

/** Fields in which an answer stands. */
const ANSWERS = ['answer', 'lastWord', 'toTen', 'placed', 'stop'];

/** The furthest word that a pad for counting takes. */
const FURTHEST = 120;

/** As many keys as can be seen at once beside a question. */
const MOST_KEYS = 26;

const answersIn = (record: CaptureRecord, field: string): boolean => {
  const value = (record as Record<string, unknown>)[field];
  return value !== undefined && value !== null && value !== '' && String(value) !== '';
};

const setting = { languages: [{ tag: 'en', name: 'English' }] };

// Beside each rule: a fault that was put into the code to see the rule fail.
describe('a run keeps', () => {
  // Fault: the fields of `compare` left out of UNANSWERED in judge.ts.
  it('6: keeps no answer that nobody made, and lets none be right before it is made', () => {
    const broken: string[] = [];
    each((question, run) => {
      const { right, heard } = question;
      if (right === null) return;
      if (!heard && isAnswered(question, null)) broken.push(`ready: ${quoted(run, question)}`);
      const kept = triedAs(question, null, 'not-yet')?.record;
      const answered = kept && ANSWERS.some((field) => answersIn(kept, field));
      if (answered) broken.push(`kept: ${quoted(run, question)}`);
    });
    breaks(broken);
  });

  // Fault: `saidAloud` in skills/map.ts always false.
  it('7: credits speech to speech alone, and a guess to neither comparing nor touching', () => {
    const broken: string[] = [];
    each((question, run) => {
      const skills = question.counts.map(({ skillId }) => skillOf(skillId).family);
      if (!run.kid.modes.includes('speaks') && skills.some((one) => ALOUD.includes(one))) {
        broken.push(`aloud: ${quoted(run, question)}`);
      }
      const { right } = question;
      if (right?.kind === 'guess' && skills.some((one) => COUNTED.includes(one))) {
        broken.push(`guess: ${quoted(run, question)}`);
      }
    });
    breaks(broken);
  });

  it('7: asks only for its activity’s own skills, and counts only for what its kind credits', () => {
    const broken: string[] = [];
    each((question, run) => {
      const own = new Set(matchSkills(run.activity.skills));
      const credited = new Set(matchSkills(MODULES[question.kind].credits(roundOf(run, question))));
      for (const { skillId } of question.counts) {
        if (!own.has(skillId)) broken.push(`${skillId} is not listed: ${quoted(run, question)}`);
        if (!credited.has(skillId))
          broken.push(`${skillId} not credited: ${quoted(run, question)}`);
      }
      const core = question.cameUp === null && !FACTS.includes(question.kind);
      const spoken = run.kid.modes.includes('speaks');
      if (core && spoken && question.counts.length === 0) {
        broken.push(`counts for nothing: ${quoted(run, question)}`);
      }
    });
    breaks(broken);
  });

  // Fault: `judge` in tries.ts gives "own" for what was helped.
  it('11: counts what was helped as not on their own', () => {
    const broken: string[] = [];
    each((question, run, at) => {
      // Words in order count stretch by stretch: those before the help are on their own.
      const tried = at % 7 === 0 ? triedAs(question, null, 'help') : null;
      if (!tried || tried.record.kind === 'reach') return;
      const own = triesOf(aTry({ ...tried })).filter(({ outcome }) => outcome === 'own');
      if (own.length > 0) broken.push(quoted(run, question));
    });
    breaks(broken);
  });

  // Fault: MORE in session.ts at 0.
  it('12: offers keys up to three more than the range while that is twenty or less, else digits', () => {
    const broken: string[] = [];
    each((question, run) => {
      const { right, top } = question;
      if (right === null || right.kind !== 'add') return;
      const keys = padFor(question, null, setting).flatMap((group) => group.keys);
      const labels = keys.map(({ label }) => label);
      const most = Math.max(run.top, right.answer ?? 0);
      const wanted = most <= 20 ? String(Math.min(20, most + 3)) : '9';
      if (!labels.includes(wanted)) broken.push(`${wanted} of ${top}: ${quoted(run, question)}`);
      if (keys.length > MOST_KEYS) broken.push(`${keys.length} keys: ${quoted(run, question)}`);
    });
    breaks(broken);
  });

  // Fault: the keys of `reachGroups` in numbers.ts cut at what was asked.
  it('13: lets a count go on past what was asked', () => {
    const broken: string[] = [];
    const checked = new Set<number>();
    each((question, run) => {
      const { right } = question;
      if (right?.kind !== 'reach' || right.direction !== 'up' || right.from !== 1) return;
      if (right.step !== undefined || checked.has(right.to)) return;
      checked.add(right.to);
      // Where each tap can lead, up to three of them.
      const stops = new Map<number, CaptureRecord | null>([[0, null]]);
      for (let taps = 0; taps < 3; taps++) {
        for (const record of [...stops.values()]) {
          for (const { next } of padFor(question, record, setting).flatMap(({ keys }) => keys)) {
            if (next?.kind === 'reach') stops.set(next.stop ?? 0, next);
          }
        }
      }
      if (!stops.has(FURTHEST)) broken.push(quoted(run, question));
    });
    expect(checked.size).toBeGreaterThan(4);
    breaks(broken);
  });
});
