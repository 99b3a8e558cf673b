/**
 * Names that a household file had up to version 4, and what they are called since. The same names
 * stood in the database and in what waited on a device, so all three are read through here.
 */
const KEYS: Readonly<Record<string, string>> = {
  sittings: 'sessions',
  sittingId: 'sessionId',
  takers: 'participants',
  things: 'materials',
  thing: 'material',
  thingId: 'materialId',
  thingMm: 'materialMm',
  laidReady: 'gotReady',
};

/** Values that were called otherwise, by the key that they stand under. */
const VALUES: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  band: { woven: 'anytime', 'set-out': 'play' },
  bands: { woven: 'anytime', 'set-out': 'play' },
  preferredWay: { led: 'adult-led', presented: 'presentation', 'left-out': 'invitation' },
  ways: { led: 'adult-led', presented: 'presentation', 'left-out': 'invitation' },
  policy: { middle: 'balanced', 'follow-lead': 'follow-child' },
};

/** Keys that mean something else elsewhere: what they are called in a record of one list. */
const KEYS_IN: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  children: { mark: 'symbol' },
  placements: { pegs: 'levels' },
  placement: { pegs: 'levels' },
  participants: { top: 'rangeMax' },
  move: { top: 'rangeMax' },
  outbox: { sitting: 'session', word: 'override', pegs: 'placement' },
};

const LISTS: Readonly<Record<string, string>> = { words: 'overrides', pegs: 'placements' };

/**
 * A record of a household file with today's names.
 * @param list the list that it stands in, by today's name; "household" for the household itself
 * @param record any JSON; what is no record of that list comes back as it is
 */
export function renamedRecord(list: string, record: unknown): unknown {
  const own = KEYS_IN[list] ?? {};
  return mapped(record, (key) => own[key] ?? KEYS[key] ?? key);
}

/** A household file of version 1 to 4 with today's names; anything else as it is. */
export function renamedFile(file: unknown): unknown {
  if (!isRecord(file) || typeof file['version'] !== 'number' || file['version'] > 4) return file;
  return Object.fromEntries(
    Object.entries(file).map(([key, value]) => {
      const list = LISTS[key] ?? KEYS[key] ?? key;
      const renamed = Array.isArray(value)
        ? value.map((one) => renamedRecord(list, one))
        : renamedRecord(list, value);
      return [list, renamed];
    }),
  );
}

/** What waits on a device to be sent, with today's names; whatever has them already comes back as it is. */
export function renamedEntry(entry: unknown): unknown {
  const renamed = renamedRecord('outbox', entry);
  if (!isRecord(renamed)) return renamed;
  const { kind } = renamed;
  return {
    ...renamed,
    kind: typeof kind === 'string' ? (KEYS_IN['outbox']?.[kind] ?? kind) : kind,
  };
}

const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

function mapped(value: unknown, nameOf: (key: string) => string): unknown {
  if (Array.isArray(value)) return value.map((one) => mapped(one, nameOf));
  if (!isRecord(value)) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, inner]) => {
      const name = nameOf(key);
      const own = KEYS_IN[name];
      const deeper = mapped(inner, (one) => own?.[one] ?? KEYS[one] ?? one);
      return [name, renamedValue(name, deeper)];
    }),
  );
}

function renamedValue(key: string, value: unknown): unknown {
  const names = VALUES[key];
  if (!names) return value;
  const one = (text: unknown): unknown => (typeof text === 'string' ? (names[text] ?? text) : text);
  return Array.isArray(value) ? value.map(one) : one(value);
}
