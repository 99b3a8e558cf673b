import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { Child, Observation, Session } from '@gumo/core/vocabulary';
import { aChild as anyChild, aTry as anyTry } from '@gumo/core/vocabulary/testing';
import { pino } from 'pino';
import { type Running, serve } from '../serve.js';

export const TODAY = '2026-03-10';
/** The demo's household file. */
export const DEMO = fileURLToPath(new URL('../../../demo/spindle-cottage.json', import.meta.url));

/** A server on an empty database of its own, and a way to ask it. */
export interface World {
  readonly url: string;
  /** Port of the door to the home's network; 0 while it is shut. */
  readonly sharePort: number;
  readonly folder: string;
  ask(
    method: string,
    path: string,
    body?: unknown,
    headers?: Record<string, string>,
  ): Promise<Answer>;
  /** Stops the server; its folder stays. */
  stop(): Promise<void>;
  /** Starts it again on the same database. */
  start(): Promise<void>;
  restart(): Promise<void>;
  close(): Promise<void>;
}

export interface Answer {
  readonly status: number;
  readonly type: string;
  readonly body: never;
}

/**
 * @param demoPath a household file that it begins with; empty where nothing is named
 * @param now the clock of the door
 * @param prepare fills the folder before the server starts
 */
export async function openWorld(
  demoPath: string | null = null,
  now: () => Date = () => new Date(),
  prepare: (databasePath: string) => void = () => undefined,
): Promise<World> {
  const folder = mkdtempSync(join(tmpdir(), 'gumo-spec-'));
  prepare(join(folder, 'gumo.db'));
  const start = (): Promise<Running> =>
    serve({
      databasePath: join(folder, 'gumo.db'),
      port: 0,
      demoPath,
      webFolder: null,
      today: () => TODAY,
      now,
      log: pino({ level: 'silent' }),
    });
  let running = await start();
  const url = (): string => `http://127.0.0.1:${running.port}/api`;
  return {
    get url() {
      return url();
    },
    get sharePort() {
      return running.sharePort();
    },
    folder,
    ask: (method, path, body, headers) => ask(`${url()}${path}`, method, body, headers),
    stop: () => running.stop(),
    start: async () => void (running = await start()),
    restart: async () => {
      await running.stop();
      running = await start();
    },
    close: async () => {
      await running.stop();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

export async function ask(
  url: string,
  method: string,
  body?: unknown,
  headers: Record<string, string> = { 'content-type': 'application/json' },
): Promise<Answer> {
  const sent =
    body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) };
  const response = await fetch(url, { method, headers, ...sent });
  const text = await response.text();
  return {
    status: response.status,
    type: response.headers.get('content-type') ?? '',
    body: (text === '' ? null : JSON.parse(text)) as never,
  };
}

export const aChild = (more: Partial<Child> = {}): Child =>
  anyChild({ id: randomUUID(), birthDate: '2022-05-01', ...more });

export const aTry = (childId: string, more: Partial<Observation> = {}): Observation =>
  anyTry({
    id: randomUUID(),
    childId,
    sessionId: null,
    activityId: 'handfuls',
    at: `${TODAY}T09:00:00.000Z`,
    day: TODAY,
    record: { kind: 'give', asked: 3, given: 3 },
    ...more,
  });

export const aSession = (childId: string, more: Partial<Session> = {}): Session => ({
  id: randomUUID(),
  activityId: 'handfuls',
  planEntryId: null,
  day: TODAY,
  startedAt: `${TODAY}T09:00:00.000Z`,
  endedAt: null,
  mood: null,
  participants: [{ childId, rangeMax: 5 }],
  ...more,
});
