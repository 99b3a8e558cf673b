import type { Child } from './child.js';
import type { Observation } from './observation.js';

/** A child as any other, for specs. */
export const aChild = (more: Partial<Child> = {}): Child => ({
  id: '00000000-0000-4000-8000-000000000001',
  name: 'Wren',
  birthDate: '2021-05-01',
  symbol: { shape: 'leaf', color: 'moss' },
  interests: [],
  cautions: { mouths: false, allergies: [], note: '' },
  answerModes: ['speaks'],
  policy: 'balanced',
  archived: false,
  version: 1,
  ...more,
});

/** A try as any other, for specs: said to be right, by itself. */
export const aTry = (more: Partial<Observation> = {}): Observation => ({
  id: 'x',
  childId: 'c',
  sessionId: 's',
  activityId: 'a',
  skillId: 'touch-5',
  itemId: 'n3',
  at: '2026-03-10T09:00:00.000Z',
  day: '2026-03-10',
  outcome: 'own',
  triedFirst: true,
  answered: 'spoken',
  reason: null,
  materials: [],
  notedBy: '',
  note: '',
  record: { kind: 'note', words: '' },
  ...more,
});
