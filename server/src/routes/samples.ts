import { SampleLines } from '@gumo/core/contract';
import { SampleLine, WorkSample, holdsMore } from '@gumo/core/vocabulary';
import { Router } from 'express';
import * as v from 'valibot';
import { checked, notFound, wrongField } from '../faults.js';
import { type Context, checkDay, childOf, param } from './context.js';
import { activityIn } from '../services/needs.js';
import { answer } from './answer.js';

const VersionQuery = v.object({ version: v.pipe(v.string(), v.transform(Number), v.integer()) });

/** Pictures of children's work: kept, listed without their pixels, shown, taken out. */
export function samplesRoutes(context: Context): Router {
  const { store, changes } = context;
  const router = Router();
  const tell = (childId: string): void =>
    changes.tell({ what: 'samples', childIds: [childId], day: null });

  router.get('/of/:id', (request, response) => {
    answer(response, SampleLines, store.samples.ofChild(childOf(context, request).id));
  });

  router.get('/:id/picture.jpg', (request, response) => {
    const sample = store.samples.find(param(request, 'id'));
    if (!sample) throw notFound('sample');
    response.type('image/jpeg').send(Buffer.from(sample.image, 'base64'));
  });

  router.post('/', (request, response) => {
    const sample = checked(WorkSample, request.body);
    if (!store.children.has(sample.childId)) throw wrongField('childId', 'is not a child here');
    checkDay(context, sample);
    if (sample.activityId !== null && !activityIn(store, sample.activityId)) {
      throw wrongField('activityId', 'is not an activity here');
    }
    const more = holdsMore(Buffer.from(sample.image, 'base64'));
    if (more === null) throw wrongField('image', 'is no whole JPEG picture');
    if (more) throw wrongField('image', 'holds more than a picture, such as where it was taken');
    answer(response, SampleLine, checked(SampleLine, store.samples.add(sample)), 201);
    tell(sample.childId);
  });

  router.delete('/:id', (request, response) => {
    const sample = store.samples.find(param(request, 'id'));
    if (!sample) throw notFound('sample');
    const { version } = checked(VersionQuery, request.query);
    if (version !== sample.version) throw wrongField('version', 'is an old one');
    store.samples.remove(sample.id);
    response.status(204).end();
    tell(sample.childId);
  });

  return router;
}
