import { forms, numbers, pairs, range, strand } from './build.js';

const other = (list: readonly number[]) => forms(list, [['other', 'another way']]);
const toTen = (list: readonly number[]) => forms(list, [['to-ten', 'and how many more to ten']]);

/** Two groups of at most five that make four to eight. */
const TWO_GROUPS = [
  [2, 2],
  [3, 1],
  [3, 2],
  [4, 1],
  [3, 3],
  [4, 2],
  [5, 1],
  [5, 2],
  [4, 3],
  [4, 4],
  [5, 3],
] as const;

export const GLANCE = strand('glance', [
  [
    'glance 3',
    'One to three at a glance',
    'to 3',
    forms(range(1, 3), [
      ['line', 'in a line'],
      ['dice', 'as on a die'],
      ['fingers', 'on fingers'],
    ]),
    '',
    'spoken',
    'HS 2',
    'sees one, two or three things and knows how many without counting',
    'Lips or eyes that count after all.',
  ],
  [
    'glance 5',
    'Up to five at a glance',
    'to 5',
    forms(range(4, 5), [
      ['dice', 'as on a die'],
      ['line', 'in a line'],
      ['scatter', 'scattered'],
      ['fingers', 'on fingers'],
    ]),
    'glance-3 total-5',
    'spoken',
    'HS 2, ELG-N',
    'sees four or five things and knows how many without counting',
    'Known as a dice look, and not yet when scattered.',
  ],
  [
    'frame 5',
    'Builds one to five on a frame',
    'frame 5',
    [...numbers(range(1, 5)), ...other(range(1, 4))],
    'give-5',
    'counted',
    '',
    'builds one to five on a frame, in more than one way',
    'Whether four is seen as one less than five.',
  ],
  [
    'frame 10',
    'Builds six to ten on a frame',
    'frame 10',
    [...numbers(range(6, 10)), ...other(range(6, 9)), ...toTen(range(6, 9))],
    'frame-5 give-10',
    'counted',
    'K.OA.A.3, K.OA.A.4',
    'builds six to ten on a frame and says how many more make ten',
    'The full row of five counted again each time.',
  ],
  [
    'glance parts',
    'Sees two groups, says the whole',
    'two groups',
    pairs(TWO_GROUPS, 'sum'),
    'glance-5 bond-5',
    'spoken',
    '',
    'sees two small groups and says how many there are in all',
    'Ask how it was seen: three and two, or all one by one?',
  ],
  [
    'glance frame',
    'Six to ten on a frame at a glance',
    'frame look',
    forms(range(6, 10), [
      ['row', 'by rows'],
      ['pairs', 'by pairs'],
    ]),
    'glance-5 frame-10',
    'spoken',
    '',
    'sees six to ten on a frame and knows how many without counting',
    'Nine and ten first: what is missing tells.',
  ],
]);
