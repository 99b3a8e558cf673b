import { ChildNote } from '@gumo/core/vocabulary';
import { Router } from 'express';
import * as v from 'valibot';
import { checked, wrongField } from '../problems.js';
import { type Context, checkDay, param } from './context.js';

const MOST_AT_ONCE = 50;
const Notes = v.object({
  notes: v.pipe(
    v.array(ChildNote, 'must be a list'),
    v.minLength(1, 'must not be empty'),
    v.maxLength(MOST_AT_ONCE, `must have at most ${MOST_AT_ONCE} entries`),
  ),
});

/** Words about children: jotted down, and taken away again. */
export function notesRoutes(context: Context): Router {
  const { store, changes } = context;
  const router = Router();
  const tell = (childIds: string[], day: string): void =>
    changes.tell({ what: 'sittings', childIds, day });

  router.post('/', (request, response) => {
    const { notes } = checked(Notes, request.body);
    const added = store.atomically(() => {
      notes.forEach((note, at) => {
        if (!store.children.has(note.childId)) {
          throw wrongField(`notes.${at}.childId`, 'is not a child here');
        }
        checkDay(context, note, `notes.${at}.`);
      });
      return notes.filter((note) => store.notes.add(note));
    });
    response.status(added.length > 0 ? 201 : 200).json({ added: added.length });
    for (const note of added) tell([note.childId], note.day);
  });

  router.delete('/:id', (request, response) => {
    const note = store.notes.find(param(request, 'id'));
    if (note) store.notes.remove(note.id);
    response.status(204).end();
    if (note) tell([note.childId], note.day);
  });

  return router;
}
