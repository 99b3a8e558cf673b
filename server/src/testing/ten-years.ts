import { isRight, padFor, recordFor } from '@gumo/core/pads';
import { seeded } from '@gumo/core/numbers';
import { type Question, questionForItem } from '@gumo/core/rounds';
import { SKILLS } from '@gumo/core/skills';
import { type Child, type Observation, type Session, addDays } from '@gumo/core/vocabulary';
import type { Store } from '../database/store.js';
import { aChild, aSession, aTry } from './world.js';

const SETTING = { languages: [{ tag: 'en', name: 'English' }] };
const wrongTaps = new Map<string, ReturnType<typeof tapOf>>();

const tapOf = (question: Question) =>
  padFor(question, null, SETTING)
    .flatMap((group) => group.keys)
    .find(({ next }) => next && !isRight(question, next))?.next ?? null;

/** The first wrong answer that the pad offers, found once a question. */
function wrongTap(question: Question): ReturnType<typeof tapOf> {
  const name = `${question.skillId}/${question.itemId}`;
  if (!wrongTaps.has(name)) wrongTaps.set(name, tapOf(question));
  return wrongTaps.get(name) ?? null;
}

const questions = new Map<string, Question>();

/** The question for an item, found once. */
function questionOf(skillId: string, itemId: string): Question {
  const name = `${skillId}/${itemId}`;
  const found = questions.get(name) ?? questionForItem(skillId, itemId, ['speaks'])!;
  questions.set(name, found);
  return found;
}

/** A made-up id, the same each time. */
const uuid = (kind: number, n: number): string =>
  `${String(kind).padStart(8, '0')}-0000-4000-8000-${String(n).padStart(12, '0')}`;

/**
 * Invented observations of one child, several sessions a day, all skills of the map, the same each time.
 * @param no tells the ids of one child's observations from those of another
 */
export function* observations(
  count: number,
  days: number,
  childId: string,
  first = '2016-01-04',
  no = 0,
): IterableIterator<Observation> {
  const random = seeded(11 + no);
  const aDay = count / days;
  for (let n = 0; n < count; n++) {
    const day = addDays(first, Math.floor(n / aDay));
    const within = Math.floor(n % aDay);
    // Eight tries a session, mostly of two skills; the child gets further over the years.
    const session = Math.floor(n / 8);
    const reached = Math.min(SKILLS.length, 12 + Math.floor((n / count) * SKILLS.length));
    const skill = SKILLS[(session * 7 + (n % 2) * 3) % reached]!;
    const item = skill.items[Math.floor(random() * skill.items.length)]!;
    const outcome = random() < 0.75 ? 'own' : random() < 0.5 ? 'help' : 'not-yet';
    const question = questionOf(skill.id, item.id);
    const hour = String(8 + (Math.floor(within / 30) % 12)).padStart(2, '0');
    const minute = String((within * 2) % 60).padStart(2, '0');
    yield aTry(childId, {
      id: uuid(no, n),
      sessionId: uuid(no, 10_000_000 + session),
      activityId: question.right?.kind === 'count' ? 'handfuls' : 'count-together',
      skillId: skill.id,
      itemId: item.id,
      at: `${day}T${hour}:${minute}:00.000Z`,
      day,
      outcome,
      record: recordFor(
        question,
        outcome === 'own' ? question.right : wrongTap(question),
        outcome,
      )!,
    });
  }
}

const YEARS = 10;
const CHILDREN = 24;
/** Days a year on which the household is open (common practice, no source). */
const OPEN_DAYS = 230;
const STAY_YEARS = 3;

/**
 * Fills a household with ten years: children come and go, six are there at a time and at the end.
 * @param count observations in all
 * @param last the last day
 */
export function fillTenYears(store: Store, count: number, last: string): void {
  const each = Math.floor(count / CHILDREN);
  const begin = addDays(last, -365 * YEARS);
  store.atomically(() => {
    for (let no = 1; no <= CHILDREN; no++) {
      const first = addDays(
        begin,
        Math.floor(((no - 1) / (CHILDREN - 1)) * 365 * (YEARS - STAY_YEARS)),
      );
      const child: Child = aChild({
        id: uuid(no, 99_000_000),
        name: `Child ${no}`,
        birthDate: addDays(first, -900),
        archived: no <= CHILDREN - 6,
      });
      store.children.add(child);
      let session: Session | null = null;
      for (const one of observations(each, OPEN_DAYS * STAY_YEARS, child.id, first, no)) {
        if (session?.id !== one.sessionId) {
          session = aSession(child.id, {
            id: one.sessionId!,
            day: one.day,
            startedAt: one.at,
            endedAt: one.at,
            mood: 'calm',
          });
          store.sessions.add(session);
        }
        store.facts.addObservation(one);
      }
    }
  });
}
