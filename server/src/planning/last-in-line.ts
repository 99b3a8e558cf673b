import { readFileSync, writeFileSync } from 'node:fs';

/**
 * Linux shares the processors evenly between what was started in one terminal or desktop session and
 * what was started in another, however polite single threads are (man 7 sched, "The autogroup
 * feature"). This is where the niceness of the server's own session stands; elsewhere there is none.
 */
const GROUP = '/proc/self/autogroup';
const POLITE = 10;
/** The kernel takes no two changes within a tenth of a second. */
const AGAIN_MS = 200;

let again: NodeJS.Timeout | undefined;

function setNiceness(to: number, isLast = false): void {
  clearTimeout(again);
  try {
    writeFileSync(GROUP, `${to}`);
  } catch {
    if (!isLast) again = setTimeout(() => setNiceness(to, true), AGAIN_MS).unref();
  }
}

/**
 * Lets the browser on the same machine go before the server for a while: drawing the page then waits
 * for nothing. Changes nothing where the session is polite already, or the system has no such thing.
 * @returns ends it
 */
export function goLastInLine(): () => void {
  let usual: number;
  try {
    usual = Number(/nice (-?\d+)/.exec(readFileSync(GROUP, 'utf8'))?.[1] ?? POLITE);
  } catch {
    return () => undefined;
  }
  if (usual >= POLITE) return () => undefined;
  setNiceness(POLITE);
  return () => setNiceness(usual);
}
