import { Router } from 'express';
import type { PlanNews, WeekPlans } from '../services/planning/plan-week.js';
import { notFound } from '../faults.js';
import { type Context, param } from './context.js';

/** Plans in the making: followed as server-sent events, taken as they are, or stopped. */
export function plansRoutes({ planner, changes }: Context, plans: WeekPlans): Router {
  const router = Router();

  router.get('/:id/news', (request, response) => {
    const send = (news: PlanNews): void => {
      response.write(`data: ${JSON.stringify(news)}\n\n`);
      if (news.state !== 'running') response.end();
    };
    const waiting: PlanNews[] = [];
    let isOpen = false;
    const stop = plans.follow(param(request, 'id'), (news) => {
      if (isOpen) send(news);
      else waiting.push(news);
    });
    if (!stop) throw notFound('plan in the making');
    response.writeHead(200, {
      'content-type': 'text/event-stream',
      'cache-control': 'no-store',
      'x-accel-buffering': 'no',
    });
    changes.follow(request, response);
    isOpen = true;
    waiting.forEach(send);
    request.on('close', stop);
  });

  /** Takes the best so far. */
  router.post('/:id/keep', (request, response) => {
    const job = planner.find(param(request, 'id'));
    if (!job) throw notFound('plan in the making');
    job.finish();
    response.status(204).end();
  });

  router.delete('/:id', (request, response) => {
    const job = planner.find(param(request, 'id'));
    if (!job) throw notFound('plan in the making');
    job.cancel();
    response.status(204).end();
  });

  return router;
}
