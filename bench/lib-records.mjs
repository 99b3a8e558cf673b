/** Invented records for benchmarks: one child, many days, all skills of the map, the same each time. */
import { captureKindOf, promptFor } from '@gumo/core/activities';
import { isRight, padFor, recordFor } from '@gumo/core/pads';
import { seeded } from '@gumo/core/numbers';
import { SKILLS } from '@gumo/core/skills';
import { addDays } from '@gumo/core/vocabulary';

const SETTING = { top: 20, languages: [{ tag: 'en', name: 'English' }] };
const wrongTaps = new Map();

/** The first wrong answer that the pad offers, found once a prompt. */
function wrongTap(prompt) {
  const name = `${prompt.skillId}/${prompt.itemId}`;
  if (!wrongTaps.has(name)) {
    const keys = padFor(prompt, null, SETTING).flatMap((group) => group.keys);
    wrongTaps.set(name, keys.find(({ next }) => next && !isRight(prompt, next))?.next ?? null);
  }
  return wrongTaps.get(name);
}

/** `count` observations over `days` days, several sittings a day. */
export function observations(count, days, childId, first = '2016-01-04') {
  const random = seeded(11);
  const uuid = (n) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
  const aDay = count / days;
  return Array.from({ length: count }, (_, n) => {
    const day = addDays(first, Math.floor(n / aDay));
    const within = Math.floor(n % aDay);
    // Eight tries a sitting, mostly of two skills; the child gets further over the years.
    const sitting = Math.floor(n / 8);
    const reached = Math.min(SKILLS.length, 12 + Math.floor((n / count) * SKILLS.length));
    const skill = SKILLS[(sitting * 7 + (n % 2) * 3) % reached];
    const item = skill.items[Math.floor(random() * skill.items.length)];
    const outcome = random() < 0.75 ? 'own' : random() < 0.5 ? 'help' : 'not-yet';
    const prompt = promptFor(skill.id, item.id, ['speaks']);
    return {
      id: uuid(n),
      childId,
      sittingId: uuid(10_000_000 + sitting),
      activityId: captureKindOf(skill.id) === 'count' ? 'handfuls' : 'count-together',
      skillId: skill.id,
      itemId: item.id,
      at: `${day}T${String(8 + Math.floor(within / 30)).padStart(2, '0')}:${String((within * 2) % 60).padStart(2, '0')}:00.000Z`,
      day,
      outcome,
      triedFirst: true,
      answered: 'spoken',
      reason: null,
      things: [],
      notedBy: '',
      note: '',
      record: recordFor(prompt, outcome === 'own' ? null : wrongTap(prompt), outcome, 'en'),
    };
  });
}
