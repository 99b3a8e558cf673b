import { NoteBatch } from '@gumo/core/contract';
import { Router } from 'express';
import { checked, wrongField } from '../faults.js';
import { type Context, checkDay, param } from './context.js';

/** Words about children: noted, and taken away again. */
export function notesRoutes(context: Context): Router {
  const { store, changes } = context;
  const router = Router();
  const tell = (childIds: string[], day: string): void =>
    changes.tell({ what: 'sessions', childIds, day });

  router.post('/', (request, response) => {
    const { notes } = checked(NoteBatch, request.body);
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
