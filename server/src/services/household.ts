import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { HouseholdFile, renamedFile, shiftTo } from '@gumo/core/exchange';
import { newHousehold, weekdayNumber } from '@gumo/core/vocabulary';
import type { Store } from '../database/store.js';
import { checked } from '../faults.js';

/** Fills an empty database from a household file, as one transaction. */
export function loadHousehold(store: Store, file: HouseholdFile): void {
  store.atomically(() => {
    store.household.add(file.household);
    file.children.forEach((child) => store.children.add(child));
    file.materials.forEach((material) => store.materials.add(material));
    file.activities.forEach((activity) => store.activities.add(activity));
    file.songs.forEach((song) => store.songs.add(song));
    file.kits.forEach((kit) => store.kits.add(kit));
    file.plan.forEach((entry) => store.plan.add(entry));
    file.days.forEach((sheet) => store.days.put(sheet));
    file.sessions.forEach((session) => store.sessions.add(session));
    factsInOrder(file).forEach((add) => add(store));
    file.notes.forEach((note) => store.notes.add(note));
    file.weeks.forEach((week) => store.weeks.restore(week));
    file.prints.forEach((item) => store.prints.add(item));
    file.families.forEach((letter) => store.families.add(letter));
    file.samples.forEach((sample) => store.samples.add(sample));
    file.graphs.forEach((graph) => store.graphs.add(graph));
    file.voidings.forEach((voiding) => store.facts.addVoiding(voiding));
  });
}

/**
 * Tries, own words and pegs as they were noted one after the other; within each list the file's order
 * stays, as it is the order in which they arrived.
 */
function factsInOrder(file: HouseholdFile): ((store: Store) => void)[] {
  const lists = [
    file.observations.map((one) => ({
      at: one.at,
      add: ({ facts }: Store) => void facts.addObservation(one),
    })),
    file.overrides.map((one) => ({
      at: one.at,
      add: ({ facts }: Store) => void facts.addOverride(one),
    })),
    file.placements.map((one) => ({
      at: one.at,
      add: ({ facts }: Store) => void facts.addPlacement(one),
    })),
  ];
  const next = [0, 0, 0];
  const merged: ((store: Store) => void)[] = [];
  for (;;) {
    let first = -1;
    lists.forEach((list, i) => {
      const here = list[next[i] as number];
      const best = lists[first]?.[next[first] as number];
      if (here && (!best || here.at < best.at)) first = i;
    });
    const taken = lists[first]?.[next[first] as number];
    if (!taken) return merged;
    merged.push(taken.add);
    next[first] = (next[first] as number) + 1;
  }
}

/** Loads the demo household from its file, moved so that it ends today, whatever day that is. */
export function loadDemo(store: Store, path: string, today: string): void {
  const file = checked(HouseholdFile, renamedFile(JSON.parse(readFileSync(path, 'utf8'))));
  const moved = shiftTo(file, today);
  const { openDays } = moved.household;
  const plan = moved.plan.filter(
    ({ day }) => day === today || openDays.includes(weekdayNumber(day)),
  );
  loadHousehold(store, { ...moved, plan });
}

/** Starts a household without children. */
export function startEmpty(store: Store): void {
  store.household.add(newHousehold(randomUUID(), 'My household'));
}
