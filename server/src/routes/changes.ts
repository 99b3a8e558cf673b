import { AsyncLocalStorage } from 'node:async_hooks';
import { type Change, Id, WRITE_HEADER } from '@gumo/core/vocabulary';
import type { NextFunction, Request, Response } from 'express';
import * as v from 'valibot';
import { askerOf } from './door/listener.js';

/** Tells every open device what changed, as server-sent events. */
export interface Changes {
  tell(change: Change): void;
  /** Whatever is told while a request is answered carries the id of its write. */
  within(request: Request, response: Response, next: NextFunction): void;
  /** Keeps the connection open and writes events to it. */
  listen(request: Request, response: Response): void;
  /** Another stream that a device follows, such as a plan in the making: it ends with the device. */
  follow(request: Request, response: Response): void;
  /** Ends the streams of a device that is let in no more. */
  drop(deviceId: string): void;
  /** Ends all streams, for a clean stop. */
  close(): void;
}

const MOST_LISTENERS = 32;
const KEEP_ALIVE_MS = 25_000;

/** A stream in the order in which they were opened, and the device that follows it; null at home. */
type Streams = Map<Response, string | null>;

export function makeChanges(): Changes {
  const listeners: Streams = new Map();
  const others: Streams = new Map();
  const writes = new AsyncLocalStorage<string>();

  /** The oldest stream of the same device gives way; where it has none, of the one that has most. */
  function makeRoom(deviceId: string | null): void {
    const count = new Map<string | null, number>();
    for (const id of listeners.values()) count.set(id, (count.get(id) ?? 0) + 1);
    const [most] = [...count].sort((a, b) => b[1] - a[1])[0] ?? [null];
    const from = count.has(deviceId) ? deviceId : most;
    for (const [one, id] of listeners) {
      if (id !== from) continue;
      listeners.delete(one);
      // It is told, so that it waits until somebody looks at it and does not push out another.
      one.end('event: displaced\ndata: {}\n\n');
      return;
    }
  }

  return {
    tell(change) {
      const write = writes.getStore();
      const told: Change = write === undefined ? change : { ...change, write };
      for (const one of listeners.keys()) one.write(`data: ${JSON.stringify(told)}\n\n`);
    },
    within(request, _response, next) {
      const write = request.get(WRITE_HEADER);
      if (v.is(Id, write)) writes.run(write, next);
      else next();
    },
    listen(request, response) {
      const { deviceId } = askerOf(request);
      if (listeners.size >= MOST_LISTENERS) makeRoom(deviceId);
      response.writeHead(200, {
        'content-type': 'text/event-stream',
        'cache-control': 'no-store',
        'x-accel-buffering': 'no',
      });
      response.write(': open\n\n');
      const beat = setInterval(() => response.write(': still here\n\n'), KEEP_ALIVE_MS);
      listeners.set(response, deviceId);
      response.on('close', () => {
        clearInterval(beat);
        listeners.delete(response);
      });
    },
    follow(request, response) {
      others.set(response, askerOf(request).deviceId);
      response.on('close', () => others.delete(response));
    },
    drop(deviceId) {
      for (const streams of [listeners, others]) {
        for (const [one, id] of streams) if (id === deviceId) one.end();
      }
    },
    close() {
      for (const one of listeners.keys()) one.end();
    },
  };
}
