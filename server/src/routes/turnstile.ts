import type { IncomingMessage, ServerResponse } from 'node:http';

/**
 * Lets writes by, one beside the other, and stops them while something needs the records for itself:
 * those that are under way are finished first, those that come meanwhile wait at the door. Reading goes on.
 */
export interface Turnstile {
  /** Lets a request go on, now or once the records are free again. */
  pass(request: IncomingMessage, response: ServerResponse, go: () => void): void;
  /** A request that will ask for the records alone, or takes long to arrive, is not waited for. */
  standAside(request: IncomingMessage): void;
  /** Does some work while nothing else is written; one after the other. */
  alone<T>(work: () => Promise<T>): Promise<T>;
}

const READS: readonly (string | undefined)[] = ['GET', 'HEAD', 'OPTIONS'];

export function makeTurnstile(): Turnstile {
  const underWay = new Set<IncomingMessage>();
  let waiting: (() => void)[] = [];
  let closed = 0;
  let whenFree: (() => void) | null = null;
  let turn: Promise<unknown> = Promise.resolve();

  function leave(request: IncomingMessage): void {
    underWay.delete(request);
    if (underWay.size === 0) whenFree?.();
  }

  const free = (): Promise<void> =>
    underWay.size === 0
      ? Promise.resolve()
      : new Promise((resolve) => {
          whenFree = resolve;
        });

  return {
    pass(request, response, go) {
      if (READS.includes(request.method)) {
        go();
        return;
      }
      const begin = (): void => {
        underWay.add(request);
        response.once('close', () => leave(request));
        go();
      };
      if (closed > 0) waiting.push(begin);
      else begin();
    },
    standAside: leave,
    alone(work) {
      closed += 1;
      const done = turn.then(async () => {
        await free();
        whenFree = null;
        return work();
      });
      turn = done.catch(() => undefined);
      return done.finally(() => {
        closed -= 1;
        if (closed > 0) return;
        const ready = waiting;
        waiting = [];
        for (const begin of ready) begin();
      });
    },
  };
}
