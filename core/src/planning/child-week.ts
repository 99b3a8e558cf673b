import { type ModelChild, type Option, type WeekModel } from './model.js';
import { FAIR, FOCUS_DAY_SHORT, LIKED, NO_TABLE, STRANDS_COUNTED, type Steps } from './settings.js';

/** What so many goes at one skill count in a week, in parts of its value. */
export function goesWorth(goes: Steps, hits: number): number {
  let left = hits;
  let worth = 0;
  for (const [length, slope] of goes) {
    if (left <= 0) break;
    worth += slope * Math.min(length, left);
    left -= length;
  }
  return worth;
}

/** What a child's week counts: the first part of a fair share double, what is beyond it about half. */
function fairWorth(worth: number, share: number): number {
  let left = worth;
  let sum = 0;
  for (const [part, slope] of FAIR) {
    if (left <= 0) break;
    const length = part * share;
    sum += slope * Math.min(length, left);
    left -= length;
  }
  return sum;
}

/** The week of one child, kept up to date as cards come. */
export interface ChildWeek {
  /** What it is worth. */
  worth(): number;
  /** What it gains by being in focus on one more card, but for a further day in focus. */
  gain(a: number, option: Option): number;
  /** What it gains beside that where the card is the first on a day; on any day at most. */
  dayGain(d: number): number;
  mostDayGain(): number;
  /** Minutes that a card on a day may take of it; below 0 where it may not come at all. */
  room(a: number, d: number): number;
  /** True where the want for which this way is chosen leads on that day already. */
  leads(d: number, option: Option): boolean;
  add(a: number, d: number, option: Option | null, minutes: number): void;
  /** Rises with every card. */
  version(): number;
  /** By want: goes of the week. */
  readonly hits: Float64Array;
  /** By strand: goes of the week. */
  readonly strandHits: Float64Array;
  /** Days in focus, and times at the table. */
  focusDays(): number;
  tables(): number;
}

/** A week of a child in which nothing stands yet. */
export function childWeek(model: WeekModel, c: number): ChildWeek {
  const child = model.children[c] as ModelChild;
  const { wants, strands, fairShare } = child;
  const hits = new Float64Array(wants.length);
  const strandHits = new Float64Array(strands.length);
  const byWorth = strands
    .map((_, s) => s)
    .sort((x, y) => (strands[y] as number) - (strands[x] as number));
  const cards = new Uint8Array(model.days.length);
  const minutesOn = new Float64Array(model.days.length);
  const tableOn = new Uint8Array(model.days.length);
  const firstOn = new Set<number>();
  const met = new Float64Array(strands.length);
  let sum = 0;
  let tables = 0;
  let days = 0;
  let musts = 0;
  let counted = 0;
  let version = 0;

  /** The most worth of the strands count, five in all; one that is met by half counts as half. */
  function strandsWorth(hitsOf: Float64Array): number {
    let left = STRANDS_COUNTED;
    let worth = 0;
    for (const s of byWorth) {
      const part = Math.min(1, 2 * (hitsOf[s] as number), left);
      worth += part * (strands[s] as number);
      left -= part;
      if (left <= 0) break;
    }
    return worth;
  }

  const mustOf = (want: number, met: number): number => {
    const { must } = wants[want] as ModelChild['wants'][number];
    return must === 0 ? 0 : must * Math.min(1, 2 * met);
  };
  const short = (n: number): number => FOCUS_DAY_SHORT * Math.max(0, child.focusDays - n);
  const restOf = (): number =>
    musts + counted - (child.tableFits && tables === 0 ? NO_TABLE : 0) - short(days);
  const isTable = (a: number): boolean => model.activities[a]?.band === 'table';
  const dayKey = (d: number, want: number): number => d * wants.length + want;

  return {
    hits,
    strandHits,
    focusDays: () => days,
    tables: () => tables,
    worth: () => fairWorth(sum, fairShare) + restOf(),
    version: () => version,
    mostDayGain: () => short(days) - short(days + 1),
    dayGain: (d) => ((cards[d] as number) === 0 ? short(days) - short(days + 1) : 0),
    leads: (d, option) => firstOn.has(dayKey(d, option.hits[0]?.want ?? -1)),
    room(a, d) {
      if ((cards[d] as number) >= child.cardsADay) return -1;
      const left = child.minutesADay - (minutesOn[d] as number);
      if (!isTable(a)) return left;
      const may =
        tableOn[d] === 0 && tables < child.tablesAWeek && child.restOn !== model.days[d]?.day;
      return may ? Math.min(left, child.tableMinutes) : -1;
    },
    gain(a, option) {
      let more = model.activities[a]?.liked[c] ? LIKED : 0;
      let must = 0;
      let strand = 0;
      let touched = false;
      for (const { want, part } of option.hits) {
        const of = wants[want] as ModelChild['wants'][number];
        const before = hits[want] as number;
        more += of.value * (goesWorth(of.goes, before + part) - goesWorth(of.goes, before));
        if (of.must > 0) must += mustOf(want, before + part) - mustOf(want, before);
        touched ||= 2 * (strandHits[of.strand] as number) < 1;
      }
      if (touched) {
        met.set(strandHits);
        for (const { want, part } of option.hits) {
          const s = (wants[want] as ModelChild['wants'][number]).strand;
          met[s] = (met[s] as number) + part;
        }
        strand = strandsWorth(met) - counted;
      }
      return (
        fairWorth(sum + more, fairShare) -
        fairWorth(sum, fairShare) +
        must +
        strand +
        (isTable(a) && tables === 0 && child.tableFits ? NO_TABLE : 0)
      );
    },
    add(a, d, option, minutes) {
      version++;
      if (model.activities[a]?.liked[c]) sum += LIKED;
      for (const { want, part } of option?.hits ?? []) {
        const of = wants[want] as ModelChild['wants'][number];
        const before = hits[want] as number;
        sum += of.value * (goesWorth(of.goes, before + part) - goesWorth(of.goes, before));
        musts += mustOf(want, before + part) - mustOf(want, before);
        hits[want] = before + part;
        strandHits[of.strand] = (strandHits[of.strand] as number) + part;
      }
      const first = option?.hits[0];
      if (first) firstOn.add(dayKey(d, first.want));
      counted = strandsWorth(strandHits);
      if (cards[d] === 0) days++;
      cards[d] = (cards[d] as number) + 1;
      minutesOn[d] = (minutesOn[d] as number) + minutes;
      if (!isTable(a)) return;
      tables++;
      tableOn[d] = 1;
    },
  };
}
