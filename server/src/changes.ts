import type { Change } from '@gumo/core/vocabulary';
import type { Request, Response } from 'express';
import { askerOf } from './access/door.js';

/** Tells every open device what changed, as server-sent events. */
export interface Changes {
  tell(change: Change): void;
  /** Keeps the connection open and writes events to it. */
  listen(request: Request, response: Response): void;
  /** Ends the connections of a device that is let in no more. */
  drop(deviceId: string): void;
  /** Ends all connections, for a clean stop. */
  close(): void;
}

const MOST_LISTENERS = 32;
const KEEP_ALIVE_MS = 25_000;

export function makeChanges(): Changes {
  const listeners = new Map<Response, string | null>();
  return {
    tell(change) {
      for (const one of listeners.keys()) one.write(`data: ${JSON.stringify(change)}\n\n`);
    },
    listen(request, response) {
      if (listeners.size >= MOST_LISTENERS) {
        response.status(503).end();
        return;
      }
      response.writeHead(200, {
        'content-type': 'text/event-stream',
        'cache-control': 'no-store',
        'x-accel-buffering': 'no',
      });
      response.write(': open\n\n');
      const beat = setInterval(() => response.write(': still here\n\n'), KEEP_ALIVE_MS);
      listeners.set(response, askerOf(request).deviceId);
      request.on('close', () => {
        clearInterval(beat);
        listeners.delete(response);
      });
    },
    drop(deviceId) {
      for (const [one, id] of listeners) if (id === deviceId) one.end();
    },
    close() {
      for (const one of listeners.keys()) one.end();
    },
  };
}
