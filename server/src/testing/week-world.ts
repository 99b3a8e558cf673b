import type { Child, PlanEntry, WeekSheet } from '@gumo/core/vocabulary';
import type { PlanNews } from '../services/planning/plan-week.js';
import { twiceAndAway } from './twice.js';
import { type Answer, type World, DEMO, aChild, openWorld } from './world.js';

/** A week that lies ahead of the household's today. */
export const MONDAY = '2026-03-16';
export const DAYS = ['2026-03-16', '2026-03-17', '2026-03-18', '2026-03-19', '2026-03-20'];

export interface Board {
  readonly sheet: WeekSheet;
  readonly days: { day: string; open: boolean; closure: string | null; here: string[] }[];
  readonly entries: PlanEntry[];
  readonly coverage: { childId: string; touched: unknown[]; missing: { because: string }[] }[];
  readonly refusals: string[];
  readonly notes: string[];
  readonly words: { brings: string; nearness: string };
  readonly job: { id: string } | null;
}

export interface ProblemBody {
  readonly title: string;
  readonly errors: { field: string; message: string }[];
}

export const problemOf = (answer: { body: unknown }): ProblemBody => answer.body as ProblemBody;

/** A household of two children, and its week as a screen would ask for it. */
export class WeekWorld {
  private constructor(
    readonly world: World,
    readonly wren: Child,
    readonly juno: Child,
  ) {}

  static async open(): Promise<WeekWorld> {
    const world = await openWorld();
    const add = async (child: object): Promise<Child> =>
      (await world.ask('POST', '/children', child)).body;
    const wren = await add(aChild());
    return new WeekWorld(world, wren, await add(aChild({ name: 'Juno', birthDate: '2021-05-01' })));
  }

  /** The demo's household in a week that takes long to plan. */
  static async openLarge(): Promise<WeekWorld> {
    const world = await openWorld(DEMO);
    const [first, second] = (await world.ask('GET', '/children')).body as [Child, Child];
    await twiceAndAway(world.url, MONDAY);
    return new WeekWorld(world, first, second);
  }

  close(): Promise<void> {
    return this.world.close();
  }

  ask(method: string, path: string, body?: unknown): Promise<Answer> {
    return this.world.ask(method, path, body);
  }

  async board(from = MONDAY): Promise<Board> {
    return (await this.ask('GET', `/weeks/${from}`)).body;
  }

  begin(body: object = {}, from = MONDAY): Promise<Answer> {
    return this.ask('POST', `/weeks/${from}/plan`, body);
  }

  /** All news of a plan until it has ended. */
  async follow(id: string): Promise<PlanNews[]> {
    const text = await (await fetch(`${this.world.url}/plans/${id}/news`)).text();
    return text
      .split('\n\n')
      .filter((line) => line.startsWith('data: '))
      .map((line) => JSON.parse(line.slice(6)) as PlanNews);
  }

  /** Plans the week and waits for the end. */
  async plan(body: object = { steps: 40 }): Promise<PlanNews> {
    const { id } = (await this.begin(body)).body as { id: string };
    return (await this.follow(id)).at(-1)!;
  }

  pin(entry: PlanEntry, pinned = true): Promise<Answer> {
    return this.ask('PUT', `/plan/${entry.id}`, { ...entry, pinned });
  }

  async putSheet(change: (sheet: WeekSheet) => WeekSheet): Promise<void> {
    const { sheet } = await this.board();
    expect((await this.ask('PUT', `/weeks/${MONDAY}`, change(sheet))).status).toBe(200);
  }

  away(day: string, child: Child, away = true): Promise<Answer> {
    return this.ask('POST', `/weeks/${MONDAY}/away`, { day, childId: child.id, away });
  }
}
