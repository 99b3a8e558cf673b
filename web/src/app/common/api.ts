import { ErrorHandler, Injectable, inject } from '@angular/core';
import { ProblemBody } from '@gumo/core/contract';
import { type Change, WRITE_HEADER } from '@gumo/core/vocabulary';
import { Subject } from 'rxjs';
import { v7 as uuid } from 'uuid';
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

/** Events come within moments of their write; none is so late. */
const MOST_REMEMBERED = 100;
const ID = /[0-9a-f]{8}-[0-9a-f-]{27}/g;
/** The server does not know this device, or it is locked. */
const SHUT: readonly number[] = [401, 423, 503];
/** What the browser's cache of files answers where the server does not. */
const NO_SERVER = 504;

export type Method = 'POST' | 'PUT' | 'DELETE';

/** How a write is sent. */
export interface Writing {
  /** The screen itself loads what it changed, so that the event of it brings nothing new here. */
  readonly loads?: boolean;
}

/** An answer that this version of Gumo cannot read. */
export class NotUnderstood extends Error {}

/** Asks the household's own server; every answer is checked with the schema given. */
@Injectable({ providedIn: 'root' })
export class Api {
  private readonly errors = inject(ErrorHandler);
  /** Writes whose screen loads what they changed: their own events bring nothing new. */
  private readonly loading = new Set<string>();

  /** Answers that say that this device may not ask, by their status. */
  readonly shut = new Subject<number>();

  async get<S extends v.GenericSchema>(path: string, schema: S): Promise<v.InferOutput<S>> {
    return this.understood(schema, path, await this.ask('GET', path));
  }

  /** Asks for a change; a place does so by `Writes`. @param body JSON that is written already, or what becomes it */
  send(
    method: Method,
    path: string,
    body: unknown,
    { loads = false }: Writing = {},
  ): Promise<unknown> {
    const write = loads ? uuid() : undefined;
    if (write !== undefined) this.remember(write);
    return this.ask(method, path, body, write);
  }

  /** Has a file made of what is sent, such as a page to print. */
  async file(path: string, body: unknown): Promise<Blob> {
    return (await this.answer('POST', path, body)).blob();
  }

  /** The one place where what comes is held against the contract. @throws NotUnderstood with the field */
  understood<S extends v.GenericSchema>(
    schema: S,
    path: string,
    answer: unknown,
  ): v.InferOutput<S> {
    const read = v.safeParse(schema, answer);
    if (read.success) return read.output;
    const field = v.getDotPath(read.issues[0]) ?? 'the whole answer';
    // Ids in an address say who a child is: they stay out of the log.
    const where = path.split('?')[0]?.replace(ID, ':id');
    this.errors.handleError(new Error(`The answer to ${where} is not as agreed: ${field}.`));
    throw new NotUnderstood(
      `The server’s answer cannot be read (${field}). Load Gumo again; if that does not help, restart the server.`,
    );
  }

  private remember(write: string): void {
    this.loading.add(write);
    const [oldest] = this.loading;
    if (this.loading.size > MOST_REMEMBERED && oldest) this.loading.delete(oldest);
  }

  /** True for an event that came of a write here, after which the screen loads what it changed. */
  isOwn({ write }: Change): boolean {
    return write !== undefined && this.loading.has(write);
  }

  private async ask(
    method: string,
    path: string,
    body?: unknown,
    write?: string,
  ): Promise<unknown> {
    const response = await this.answer(method, path, body, write);
    return response.status === 204 ? null : response.json().catch(() => null);
  }

  /** A good answer, unread. @throws ApiProblem, Unreachable */
  private async answer(
    method: string,
    path: string,
    body?: unknown,
    write?: string,
  ): Promise<Response> {
    let response: Response;
    try {
      response = await fetch(`/api${path}`, {
        method,
        headers: {
          ...(body === undefined ? {} : { 'content-type': 'application/json' }),
          ...(write === undefined ? {} : { [WRITE_HEADER]: write }),
        },
        ...(body === undefined
          ? {}
          : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
      });
    } catch {
      throw new Unreachable();
    }
    if (response.status === NO_SERVER) throw new Unreachable();
    if (SHUT.includes(response.status)) this.shut.next(response.status);
    if (response.ok) return response;
    const problem = v.safeParse(ProblemBody, await response.json().catch(() => null));
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
