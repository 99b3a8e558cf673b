import { findActivity } from '../activities/library.js';
import { type ChildState, emptyState, applyFact } from '../evidence/index.js';
import type { AnswerMode, CaptureRecord, Outcome } from '../vocabulary/index.js';
import { triedAs } from './play.js';
import type { Question } from './question.js';
import { type PlayState, questionFor, playStateOf } from './play-state.js';

/** A child who is sure of some skills, by the educator's word. */
export function knowing(ids: readonly string[]): ChildState {
  let state = emptyState('c', 'balanced');
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
    const next = applyFact(state, { kind: 'override', override: word });
    if ('state' in next) state = next.state;
  });
  return state;
}

/** A child at the table with one activity, answered question by question. */
export class Table {
  private readonly past: PlayState['past'][number][] = [];
  private came: readonly number[] = [];
  private picked: number | null = null;
  private chosen: number | null;

  /** @param part the part of the chain that the adult goes on with; null to let it open by itself */
  constructor(
    readonly activityId: string,
    private readonly top: number,
    part: number | null = 0,
    private readonly modes: readonly AnswerMode[] = ['speaks'],
    private readonly wants: readonly string[] = [],
    private readonly more: Partial<PlayState> = {},
  ) {
    this.chosen = part;
  }

  get question(): Question {
    const activity = findActivity(this.activityId);
    if (!activity) throw new RangeError(`no activity "${this.activityId}"`);
    const question = questionFor(
      playStateOf({
        activity,
        top: this.top,
        state: emptyState('c', 'balanced'),
        name: 'Ilse',
        modes: this.modes,
        wants: this.wants,
        past: this.past,
        came: this.came,
        picked: this.picked,
        chosen: this.chosen,
        today: '2026-03-10',
        seed: 'table',
        ...this.more,
      }),
    );
    if (!question) throw new RangeError(`nothing is asked in "${this.activityId}"`);
    return question;
  }

  /** Chance or the child decides. */
  comesUp(...came: number[]): this {
    this.came = came;
    return this;
  }

  pick(n: number): this {
    this.picked = n;
    return this;
  }

  /** Notes the question that stands, and says what it was. */
  note(outcome: Outcome = 'own', tapped: CaptureRecord | null = null): Question {
    const { question } = this;
    const tried = triedAs(question, tapped ?? question.right, outcome);
    if (!tried) throw new RangeError(`nothing can be noted: ${question.say}`);
    const { record, counts, round } = tried;
    this.past.push({ ...round, record, counts, outcome });
    this.came = [];
    this.chosen = null;
    return question;
  }

  /** What the answer to the question that stands counts for, as "skill/item". */
  get counts(): string[] {
    return this.question.counts.map(({ skillId, itemId }) => `${skillId}/${itemId}`);
  }
}
