import { Injectable } from '@angular/core';
import { Subject } from 'rxjs';
import * as v from 'valibot';

/** One field that was wrong, by its path. */
export interface FieldError {
  readonly field: string;
  readonly message: string;
}

/** The server's answer that something was wrong, in words for the person at the screen. */
export class ApiProblem extends Error {
  constructor(
    readonly status: number,
    title: string,
    readonly errors: readonly FieldError[] = [],
    /** The newer row, where a write came with an old version. */
    readonly current: unknown = undefined,
  ) {
    super(title);
  }
}

/** The server did not answer at all. */
export class Unreachable extends Error {
  constructor() {
    super('Gumo’s server does not answer. What was noted is kept on this device.');
  }
}

const ProblemBody = v.object({
  title: v.string(),
  errors: v.optional(v.array(v.object({ field: v.string(), message: v.string() }))),
  current: v.optional(v.unknown()),
});

/** The server does not know this device, or it is locked. */
const SHUT: readonly number[] = [401, 423, 503];
/** What the device's own keeper of files answers where the server does not. */
const NO_SERVER = 504;

/** Asks the household's own server; every answer is checked with the schema given. */
@Injectable({ providedIn: 'root' })
export class Api {
  /** Answers that say that this device may not ask, by their status. */
  readonly shut = new Subject<number>();

  async get<S extends v.GenericSchema>(path: string, schema: S): Promise<v.InferOutput<S>> {
    return v.parse(schema, await this.ask('GET', path));
  }

  async send<S extends v.GenericSchema>(
    method: 'POST' | 'PUT' | 'DELETE',
    path: string,
    body: unknown,
    schema: S,
  ): Promise<v.InferOutput<S>> {
    return v.parse(schema, await this.ask(method, path, body));
  }

  /** Sends JSON that is written already, such as a file. */
  async sendText<S extends v.GenericSchema>(
    path: string,
    text: string,
    schema: S,
  ): Promise<v.InferOutput<S>> {
    return v.parse(schema, await this.ask('POST', path, text));
  }

  private async ask(method: string, path: string, body?: unknown): Promise<unknown> {
    let response: Response;
    try {
      response = await fetch(`/api${path}`, {
        method,
        ...(body === undefined
          ? {}
          : {
              body: typeof body === 'string' ? body : JSON.stringify(body),
              headers: { 'content-type': 'application/json' },
            }),
      });
    } catch {
      throw new Unreachable();
    }
    if (response.status === NO_SERVER) throw new Unreachable();
    if (SHUT.includes(response.status)) this.shut.next(response.status);
    if (response.status === 204) return null;
    const answer: unknown = await response.json().catch(() => null);
    if (response.ok) return answer;
    const problem = v.safeParse(ProblemBody, answer);
    throw problem.success
      ? new ApiProblem(
          response.status,
          problem.output.title,
          problem.output.errors,
          problem.output.current,
        )
      : new ApiProblem(response.status, `The server answered ${response.status}.`);
  }
}
