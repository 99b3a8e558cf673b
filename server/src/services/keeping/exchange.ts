import type { ExchangeWork, HouseholdRead } from './exchange-worker.js';
import { type SaidWrong, wordsOf } from './words-of.js';

interface Answer extends SaidWrong {
  readonly read?: HouseholdRead;
  /** The next piece of a file that is written; null at its end. */
  readonly piece?: string | null;
}

const FILE = new URL('./exchange-worker.js', import.meta.url);
const words = (work: ExchangeWork): AsyncGenerator<Answer> => wordsOf<Answer>(FILE, work);

/**
 * The whole household as one file, piece by piece, from a thread that writes each when it is asked for:
 * nothing is put on the disk. @throws Fault
 */
export async function* writtenHousehold(database: string, day: string): AsyncGenerator<string> {
  for await (const { piece } of words({ what: 'write', database, day })) {
    if (typeof piece !== 'string') return;
    yield piece;
  }
}

/** Makes a database of a household file, in a thread. @throws Fault that names what is wrong */
export async function readHousehold(
  file: string,
  database: string,
  today: string,
): Promise<HouseholdRead> {
  for await (const { read } of words({ what: 'read', database, file, today })) {
    if (read) return read;
  }
  throw new Error('nothing was read');
}
