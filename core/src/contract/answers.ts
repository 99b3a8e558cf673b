import {
  Activity,
  Child,
  ChildNote,
  DaySheet,
  Household,
  Kit,
  Observation,
  OwnActivity,
  PlanEntry,
  SAYS,
  Session,
  Graph,
  Song,
  Material,
  USES,
} from '../vocabulary/index.js';
import { type ChildState, MARKS, SKILL_STATUSES } from '../evidence/index.js';
import * as v from 'valibot';

/** What the server answers, where it is more than a thing of the vocabulary. */

const Status = v.picklist(SKILL_STATUSES);
const Outcome = v.picklist(['own', 'help', 'not-yet', 'not-now']);

const SkillView = v.object({
  skillId: v.string(),
  status: Status,
  mark: v.nullable(v.picklist(MARKS)),
  computed: v.nullable(Status),
  reason: v.string(),
  change: v.string(),
  scored: v.number(),
  own: v.number(),
  days: v.number(),
  lastSeen: v.nullable(v.string()),
  due: v.nullable(v.string()),
  override: v.nullable(
    v.object({ id: v.string(), says: v.picklist(SAYS), since: v.string(), against: v.number() }),
  ),
  items: v.array(
    v.object({
      itemId: v.string(),
      label: v.string(),
      asked: v.number(),
      own: v.number(),
      last: v.nullable(Outcome),
    }),
  ),
});

const NextStep = v.object({
  skillId: v.string(),
  title: v.string(),
  why: v.picklist(['nearly', 'started', 'open', 'review', 'due', 'check', 'step-back']),
  because: v.string(),
  value: v.number(),
  activityId: v.nullable(v.string()),
  activityTitle: v.nullable(v.string()),
  top: v.nullable(v.number()),
});

export const ProgressAnswer = v.object({
  childId: v.string(),
  /** As it stands, or stood, on this day. */
  day: v.string(),
  views: v.array(SkillView),
  steps: v.array(NextStep),
  due: v.array(NextStep),
  look: v.nullable(v.object({ tries: v.number(), places: v.record(v.string(), v.number()) })),
  /** Days on which something was noted. */
  days: v.array(v.string()),
});

export const PolicyAnswer = v.object({ child: Child, sentence: v.string() });
export const Suggestions = v.array(v.object({ childId: v.string(), step: NextStep }));

const StandIn = v.object({ material: Material, has: v.number(), because: v.string() });

const Kept = v.object({ because: v.string(), allergies: v.array(v.string()) });

const NeedLine = v.object({
  key: v.string(),
  use: v.picklist(USES),
  words: v.string(),
  count: v.number(),
  sum: v.string(),
  wish: v.nullable(v.number()),
  consumable: v.boolean(),
  material: v.nullable(Material),
  has: v.number(),
  short: v.number(),
  standIns: v.array(StandIn),
  away: v.array(v.object({ material: Material, wanted: v.boolean(), ...Kept.entries })),
  barred: v.nullable(Kept),
  instead: v.nullable(
    v.object({ use: v.picklist(USES), name: v.string(), ingredients: v.array(v.string()) }),
  ),
  for: v.array(v.string()),
  moments: v.array(v.string()),
});
export const NeedLines = v.array(NeedLine);
export const MaterialList = v.array(Material);
export const Songs = v.array(Song);
export const Graphs = v.array(Graph);
export const Kits = v.array(Kit);
export const OwnActivities = v.array(OwnActivity);

export const DayAnswer = v.object({
  day: v.string(),
  sheet: DaySheet,
  entries: v.array(PlanEntry),
  ready: NeedLines,
  /** Cautions that apply to each entry, by its id. */
  cautions: v.record(v.string(), v.array(v.string())),
  /** Sessions of the day that were begun and not ended. */
  open: v.array(Session),
});

export const LastTime = v.object({ words: v.nullable(v.string()) });

export const SeenObservation = v.object({
  seq: v.number(),
  observation: Observation,
  voided: v.boolean(),
});
export const SessionAnswer = v.object({
  session: Session,
  observations: v.array(SeenObservation),
});
export const ObservationPage = v.object({
  observations: v.array(SeenObservation),
  next: v.nullable(v.number()),
});
export const SessionLines = v.array(v.object({ ...Session.entries, tries: v.number() }));
export const Notes = v.array(ChildNote);

/** How long a child sits at the table next time, and why. */
export const Pace = v.object({
  minutes: v.number(),
  reason: v.string(),
  restOn: v.nullable(v.string()),
  earlier: v.boolean(),
});

/** What was noted on a day. */
export const DaySeen = v.object({
  day: v.string(),
  sessions: v.array(Session),
  skills: v.array(
    v.object({ childId: v.string(), skillId: v.string(), outcomes: v.array(Outcome) }),
  ),
  notes: Notes,
  notSeen: v.array(v.string()),
});

export const Tops = v.array(v.object({ childId: v.string(), top: v.number() }));

/** The state of the fold is the core's own; its outline is checked, its inside is not. */
export const Evidence = v.custom<ChildState>(
  (value) => typeof value === 'object' && value !== null && 'rules' in value && 'skills' in value,
  'must be a child state',
);

export const Children = v.array(Child);
export const Activities = v.array(Activity);
export const MaybeHousehold = v.nullable(Household);

export type NextStep = v.InferOutput<typeof NextStep>;
export type ProgressAnswer = v.InferOutput<typeof ProgressAnswer>;
export type SkillView = v.InferOutput<typeof SkillView>;
export type DayAnswer = v.InferOutput<typeof DayAnswer>;
export type NeedLine = v.InferOutput<typeof NeedLine>;
export type SeenObservation = v.InferOutput<typeof SeenObservation>;
export type SessionLine = v.InferOutput<typeof SessionLines>[number];
export type DaySeen = v.InferOutput<typeof DaySeen>;
export type Pace = v.InferOutput<typeof Pace>;
export type Tops = v.InferOutput<typeof Tops>;
