import compression from 'compression';
import express, {
  Router,
  type ErrorRequestHandler,
  type Express,
  type RequestHandler,
} from 'express';
import { rateLimit } from 'express-rate-limit';
import type { Logger } from 'pino';
import { askerOf } from './door/listener.js';
import { byRole, gate, sameOrigin } from './door/gate.js';
import { signInRoutes } from './door/sign-in.js';
import type { Changes } from './changes.js';
import { pageHeaders, webRoutes } from './pages.js';
import { accessRoutes } from './access.js';
import { problemDetails, statusOf } from './problem-details.js';
import { Fault, notFound } from '../faults.js';
import { childrenRoutes } from './children.js';
import type { Context } from './context.js';
import { materialsRoutes } from './materials.js';
import { daysRoutes } from './days.js';
import { exportRoutes } from './exports.js';
import { factsRoutes } from './facts.js';
import { familiesRoutes } from './families.js';
import { householdRoutes } from './household.js';
import { notesRoutes } from './notes.js';
import { weekPlansIn } from '../services/planning/plan-week.js';
import { papersRoutes } from './papers.js';
import { planRoutes } from './entries.js';
import { plansRoutes } from './plan-jobs.js';
import { progressRoutes } from './progress.js';
import { recordsRoutes } from './records.js';
import { samplesRoutes } from './samples.js';
import { sheetsRoutes } from './sheets.js';
import { sessionsRoutes } from './sessions.js';
import { tablesRoutes } from './tables.js';
import { todayRoutes } from './today.js';
import { weeksRoutes } from './weeks.js';
import { answer } from './answer.js';
import { Counting, Health } from '@gumo/core/contract';

export interface AppOptions {
  readonly context: Context & { readonly changes: Changes };
  readonly log: Logger;
  /** Folder of the built web application; null serves the API alone. */
  readonly webFolder: string | null;
  /** Requests a minute from one address. */
  readonly requestsAMinute?: number;
}

const BODY_LIMIT = '2mb';

/** The web application and its API, on one address. */
export function createApp(options: AppOptions): Express {
  const { context, log } = options;
  const app = express();
  app.disable('x-powered-by');
  app.set('query parser', 'simple');
  app.set('etag', false);
  app.enable('case sensitive routing');
  app.use(logged(log), apiHeaders, gate(context.door.access));
  app.use('/api', apiRoutes(context, options.requestsAMinute ?? 6000));
  app.use(pageHeaders, signInRoutes(context.door.access, options.webFolder));
  if (options.webFolder !== null) app.use(compression(), webRoutes(options.webFolder));
  app.use(answerProblem(log));
  return app;
}

type Mount = readonly [base: string, ...Router[]];

/** Addresses that take and give files as they are, larger than any request of a screen. */
const fileRoutes = (context: Context): readonly Mount[] => [
  ['/records', recordsRoutes(context), tablesRoutes(context)],
];

/** Every other address of the API, below /api. */
function jsonRoutes(context: Context): readonly Mount[] {
  const plans = weekPlansIn(context);
  return [
    ['/access', accessRoutes(context)],
    ['/plans', plansRoutes(context, plans)],
    ['/', factsRoutes(context), materialsRoutes(context)],
    ['/household', householdRoutes(context)],
    ['/children', childrenRoutes(context), progressRoutes(context)],
    ['/sessions', sessionsRoutes(context)],
    ['/days', daysRoutes(context), todayRoutes(context)],
    ['/notes', notesRoutes(context)],
    ['/families', familiesRoutes(context)],
    ['/samples', samplesRoutes(context)],
    ['/sheets', sheetsRoutes(context)],
    ['/papers', papersRoutes(context)],
    ['/plan', planRoutes(context)],
    ['/weeks', weeksRoutes(context, plans), exportRoutes(context)],
  ];
}

/** Every address of the API as "PUT /children/:id", for checks that none is left out. */
export function addressesOf(context: Context): string[] {
  const named = [...fileRoutes(context), ...jsonRoutes(context)].flatMap(([base, ...routers]) =>
    (routers as Router[]).flatMap(({ stack }) =>
      stack.flatMap(({ route }) =>
        route
          ? route.stack.map(
              ({ method }) =>
                `${method.toUpperCase()} ${`${base}${route.path}`.replace(/\/{2,}/g, '/').replace(/(.)\/$/, '$1')}`,
            )
          : [],
      ),
    ),
  );
  return [...new Set([...named, 'GET /changes', 'GET /counting', 'GET /health'])];
}

function apiRoutes(context: Context, requestsAMinute: number): Router {
  const api = Router();
  const mount = (mounts: readonly Mount[]): void => {
    for (const [base, ...routers] of mounts) api.use(base, ...(routers as Router[]));
  };
  api.use(
    sameOrigin,
    rateLimit({
      windowMs: 60_000,
      limit: requestsAMinute,
      // Only who is let in comes as far as this.
      keyGenerator: (request) => askerOf(request).deviceId ?? 'home',
      validate: false,
      standardHeaders: false,
      legacyHeaders: false,
      handler: (_request, _response, next) => {
        next(new Fault('too-many', 'Too many requests; wait a minute.'));
      },
    }),
    byRole,
    whileCounting(context),
  );
  mount(fileRoutes(context));
  api.use(jsonOnly, express.json({ limit: BODY_LIMIT }));
  api.use((request, response, next) => context.changes.within(request, response, next));
  api.get('/changes', (request, response) => context.changes.listen(request, response));
  // Plans tell their news as it comes, so nothing may be held back to be packed.
  const packed = compression({
    filter: (request, response) =>
      !String(response.getHeader('content-type')).includes('event-stream') &&
      compression.filter(request, response),
  });
  api.use(packed);
  api.get('/counting', (_request, response) => {
    answer(response, Counting, context.records.counting.state);
  });
  api.get('/health', (_request, response) => {
    answer(response, Health, {
      ok: true,
      name: 'gumo',
      now: context.clock?.().toISOString() ?? null,
    });
  });
  mount(jsonRoutes(context));
  api.use(() => {
    throw notFound('address');
  });
  return api;
}

/** What may be asked while conclusions are counted anew. */
const MEANWHILE = /^\/(health|counting|changes|access.*)$/;

const whileCounting =
  (context: Context): RequestHandler =>
  (request, response, next) => {
    if (!context.isCounting() || MEANWHILE.test(request.path)) {
      next();
      return;
    }
    const { done, total } = context.records.counting.state ?? { done: 0, total: 1 };
    response.setHeader('retry-after', '2');
    const percent = Math.floor((100 * done) / total);
    next(new Fault('busy', `What was noted is counted anew: ${percent} percent are done.`));
  };

const jsonOnly: RequestHandler = (request, _response, next) => {
  const writes = request.method === 'POST' || request.method === 'PUT';
  if (!writes || request.is('application/json')) next();
  else {
    next(
      new Fault('wrong-type', 'Send JSON, with the content type application/json.', [
        { field: 'content-type', message: 'must be application/json' },
      ]),
    );
  }
};

/** Answers of the API are data: nothing in them may run, and no copy is kept. */
const apiHeaders: RequestHandler = (_request, response, next) => {
  response.setHeader('content-security-policy', "default-src 'none'; frame-ancestors 'none'");
  response.setHeader('x-content-type-options', 'nosniff');
  response.setHeader('cross-origin-resource-policy', 'same-origin');
  response.setHeader('cache-control', 'no-store');
  next();
};

/** One line a request: method, route, status, time. Never a body, a name or a full address. */
const logged =
  (log: Logger): RequestHandler =>
  (request, response, next) => {
    const start = performance.now();
    response.on('finish', () => {
      const [, root, area] = request.originalUrl.split(/[/?]/);
      const route = root === 'api' ? area : 'web';
      const ms = Math.round(performance.now() - start);
      log.debug({ method: request.method, route, status: response.statusCode, ms }, 'answered');
    });
    next();
  };

function asFault(error: unknown): Fault | null {
  if (error instanceof Fault) return error;
  const { status, type, code } = error as { status?: number; type?: string; code?: string };
  if (type === 'entity.parse.failed') {
    return new Fault('unreadable', 'The JSON cannot be read.', [
      { field: 'body', message: 'is not valid JSON' },
    ]);
  }
  if (type === 'entity.too.large') {
    return new Fault('too-large', 'The request is larger than 2 MB.', [
      { field: 'body', message: 'must be at most 2 MB' },
    ]);
  }
  if (code === 'SQLITE_FULL' || code === 'ENOSPC') {
    return new Fault(
      'full',
      'The disk is full, so nothing of this was kept. Make room, then try again.',
    );
  }
  if (code !== undefined && /^(EROFS|EACCES|EPERM|SQLITE_(READONLY|CANTOPEN))/.test(code)) {
    return new Fault(
      'full',
      'The folder of the records cannot be written, so nothing of this was kept. What is there can be read and exported.',
    );
  }
  if (code === 'SQLITE_BUSY') {
    return new Fault('busy', 'The database is in use by another program; try again.');
  }
  if (status !== undefined && status >= 400 && status < 500) {
    return new Fault('unreadable', 'The request cannot be read.', [
      { field: 'body', message: 'cannot be read' },
    ]);
  }
  return null;
}

const answerProblem =
  (log: Logger): ErrorRequestHandler =>
  (error, _request, response, _next) => {
    // Half of the answer went out already: whoever asked sees that the rest is missing.
    if (response.headersSent) {
      response.destroy();
      return;
    }
    const fault = asFault(error) ?? new Fault('broken', 'Something went wrong on the server.');
    if (fault.kind === 'broken') {
      const { name, code, stack } = error as Error & { code?: string };
      // Only where it happened: messages may quote what was sent.
      log.error({ name, code, at: stack?.split('\n').slice(1, 6) }, 'failed');
    }
    response.status(statusOf(fault)).type('application/problem+json').json(problemDetails(fault));
  };
