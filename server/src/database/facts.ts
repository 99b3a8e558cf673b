import type { Fact } from '@gumo/core/evidence';
import type {
  Observation,
  EducatorOverride,
  PlacementEstimate,
  Voiding,
} from '@gumo/core/vocabulary';
import type { Database } from 'better-sqlite3';
import { Fault } from '../faults.js';

export interface SeenObservation {
  readonly seq: number;
  readonly observation: Observation;
  /** Taken back since. */
  readonly voided: boolean;
}

export interface NumberedFact {
  readonly seq: number;
  readonly fact: Fact;
}

/** What was seen and what was undone: added once, never changed. */
export interface Facts {
  /** True when it was new. @throws Fault `conflict` where another observation has its id */
  addObservation(observation: Observation): boolean;
  addOverride(override: EducatorOverride): boolean;
  addPlacement(placement: PlacementEstimate): boolean;
  /** The child concerned, and whether it was new. @throws Fault `impossible` where nothing has that id */
  addVoiding(voiding: Voiding): { childId: string; isNew: boolean };
  /** Facts of a child after a position, in the order of arrival. */
  after(childId: string, seq: number): IterableIterator<NumberedFact>;
  lastSeq(childId: string): number;
  /** Observations of a child, newest first, one page; `before` is exclusive. */
  page(childId: string, skillId: string | null, before: number, limit: number): SeenObservation[];
  ofSession(sessionId: string): SeenObservation[];
  /**
   * Observations of a child that stand, of some skills or of all, oldest first, the last `limit`;
   * turns that the adult took are left out.
   */
  valid(childId: string, skillIds: readonly string[] | null, limit: number): Observation[];
  /** Observations of a day that stand, in the order of arrival, without the adult's own turns. */
  ofDay(day: string): Observation[];
  /** An observation as it was kept; undefined where there is none with this id. */
  find(id: string): string | undefined;
  /** Every observation that stands, in the order of arrival. */
  allValid(): IterableIterator<Observation>;
  /** Days on which something was noted about a child, oldest first. */
  days(childId: string): string[];
}

interface FactRow {
  readonly seq: number;
  readonly kind: Fact['kind'];
  readonly body: string;
}

/** A fact from its row: the body under the name of its kind. */
const toFact = ({ seq, kind, body }: FactRow): NumberedFact => ({
  seq,
  fact: { kind, [kind]: JSON.parse(body) as unknown } as unknown as Fact,
});

const toSeen = (row: { seq: number; body: string; voided: number }): SeenObservation => ({
  seq: row.seq,
  observation: JSON.parse(row.body) as Observation,
  voided: row.voided === 1,
});

const PAGE = 2000;

/** False for a turn that the adult or the puppet took. */
const isOfTheChild = ({ adultTurn }: Observation): boolean => adultTurn !== true;

export function factsIn(db: Database): Facts {
  const insert = db.prepare(
    `INSERT INTO facts (id, kind, child_id, session_id, skill_id, voids, day, body)
     VALUES (@id, @kind, @childId, @sessionId, @skillId, @voids, @day, @body)
     ON CONFLICT (id) DO NOTHING`,
  );
  const byId = db.prepare('SELECT kind, child_id AS childId, day, body FROM facts WHERE id = ?');
  const after = db.prepare(
    'SELECT seq, kind, body FROM facts WHERE child_id = ? AND seq > ? ORDER BY seq',
  );
  const last = db.prepare('SELECT max(seq) FROM facts WHERE child_id = ?').pluck();
  const seen = `SELECT f.seq, f.body,
      EXISTS (SELECT 1 FROM facts v WHERE v.voids = f.id) AS voided
    FROM facts f WHERE f.kind = 'observation'`;
  const page = db.prepare(`${seen} AND f.child_id = ? AND f.seq < ? ORDER BY f.seq DESC LIMIT ?`);
  const pageOfSkill = db.prepare(
    `${seen} AND f.child_id = ? AND f.skill_id = ? AND f.seq < ? ORDER BY f.seq DESC LIMIT ?`,
  );
  const valid = db.prepare(
    `SELECT f.body FROM facts f
     WHERE f.kind = 'observation' AND f.child_id = @childId
       AND (@skills IS NULL OR f.skill_id IN (SELECT value FROM json_each(@skills)))
       AND NOT EXISTS (SELECT 1 FROM facts v WHERE v.voids = f.id)
     ORDER BY f.day DESC, f.seq DESC LIMIT @limit`,
  );
  const days = db
    .prepare(`SELECT DISTINCT day FROM facts WHERE child_id = ? AND kind <> 'voiding' ORDER BY day`)
    .pluck();
  const ofDay = db
    .prepare(
      `SELECT f.body FROM facts f WHERE f.kind = 'observation' AND f.day = ?
         AND NOT EXISTS (SELECT 1 FROM facts v WHERE v.voids = f.id) ORDER BY f.seq`,
    )
    .pluck();
  const allValid = db.prepare(
    `SELECT f.seq, f.body FROM facts f WHERE f.kind = 'observation' AND f.seq > ?
       AND NOT EXISTS (SELECT 1 FROM facts v WHERE v.voids = f.id) ORDER BY f.seq LIMIT ?`,
  );
  const ofSession = db.prepare(`${seen} AND f.session_id = ? ORDER BY f.seq`);

  function add(kind: Fact['kind'], id: string, body: string, columns: object): boolean {
    if (insert.run({ id, kind, body, ...columns }).changes === 1) return true;
    const known = byId.get(id) as { kind: string; body: string };
    if (known.kind !== kind || known.body !== body) {
      throw new Fault('conflict', 'Another fact has this id already; facts are never changed.', [
        { field: 'id', message: `${id} is taken` },
      ]);
    }
    return false;
  }

  return {
    addObservation: (observation) =>
      add('observation', observation.id, JSON.stringify(observation), {
        childId: observation.childId,
        sessionId: observation.sessionId,
        skillId: observation.skillId,
        voids: null,
        day: observation.day,
      }),
    addOverride: (override) =>
      add('override', override.id, JSON.stringify(override), {
        childId: override.childId,
        sessionId: null,
        skillId: override.skillId,
        voids: null,
        day: override.day,
      }),
    addPlacement: (placement) =>
      add('placement', placement.id, JSON.stringify(placement), {
        childId: placement.childId,
        sessionId: null,
        skillId: null,
        voids: null,
        day: placement.day,
      }),
    addVoiding(voiding) {
      const target = byId.get(voiding.observationId) as
        { kind: string; childId: string; day: string } | undefined;
      if (target === undefined || target.kind === 'voiding') {
        throw new Fault('impossible', 'What is to be undone is not known here.', [
          { field: 'observationId', message: 'is not known' },
        ]);
      }
      const isNew = add('voiding', voiding.id, JSON.stringify(voiding), {
        childId: target.childId,
        sessionId: null,
        skillId: null,
        voids: voiding.observationId,
        day: target.day,
      });
      return { childId: target.childId, isNew };
    },
    *after(childId, seq) {
      for (const row of after.iterate(childId, seq) as IterableIterator<FactRow>) yield toFact(row);
    },
    lastSeq: (childId) => (last.get(childId) as number | null) ?? 0,
    page(childId, skillId, before, limit) {
      const rows =
        skillId === null
          ? page.all(childId, before, limit)
          : pageOfSkill.all(childId, skillId, before, limit);
      return (rows as Parameters<typeof toSeen>[0][]).map(toSeen);
    },
    valid: (childId, skillIds, limit) =>
      (
        valid.all({
          childId,
          limit,
          skills: skillIds === null ? null : JSON.stringify(skillIds),
        }) as { body: string }[]
      )
        .map(({ body }) => JSON.parse(body) as Observation)
        .filter(isOfTheChild)
        .reverse(),
    find(id) {
      const row = byId.get(id) as { kind: string; body: string } | undefined;
      return row?.kind === 'observation' ? row.body : undefined;
    },
    *allValid() {
      // Page by page, so that others read and write between two of them.
      for (let seq = 0; ;) {
        const rows = allValid.all(seq, PAGE) as { seq: number; body: string }[];
        for (const { body } of rows) yield JSON.parse(body) as Observation;
        const last = rows.at(-1);
        if (!last) return;
        seq = last.seq;
      }
    },
    days: (childId) => days.all(childId) as string[],
    ofDay: (day) =>
      (ofDay.all(day) as string[])
        .map((body) => JSON.parse(body) as Observation)
        .filter(isOfTheChild),
    ofSession: (id) => (ofSession.all(id) as Parameters<typeof toSeen>[0][]).map(toSeen),
  };
}
