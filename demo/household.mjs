/** The made-up people and things of Spindle Cottage, a home preschool in a former dyer's house. */

/** The day the demo is written for; loading moves it to the real day. */
export const TODAY = '2026-03-10';

const child = (name, birthDate, shape, color, interests, places, more = {}) => ({
  name,
  birthDate,
  symbol: { shape, color },
  interests,
  answerModes: ['speaks', 'points'],
  policy: 'balanced',
  cautions: { mouths: false, allergies: [], note: '' },
  ...more,
  /** Skills known in each strand, eleven weeks ago and now. */
  places,
});

export const CHILDREN = [
  child('Ilse', '2023-04-02', 'leaf', 'moss', ['snails', 'soup'], {
    say: [0, 1.2],
    count: [0, 0.8],
    numeral: [0, 0.3],
    glance: [0, 0.6],
    compare: [0, 0.8],
    sort: [0.4, 1.6],
    pattern: [0.2, 1.2],
    measure: [0.2, 0.8],
  }),
  child(
    'Tomasz',
    '2022-09-01',
    'wave',
    'slate',
    ['trains', 'drums'],
    {
      say: [0.6, 2.6],
      count: [0.5, 3.2],
      numeral: [0, 1.2],
      glance: [0.2, 1.4],
      compare: [0.4, 1.4],
      sort: [1, 2.4],
      pattern: [0.6, 2],
      measure: [0.5, 1.4],
    },
    { cautions: { mouths: true, allergies: [], note: 'Beads go straight to the mouth.' } },
  ),
  child(
    'Dilara',
    '2022-05-08',
    'drop',
    'heather',
    ['kites', 'knitting'],
    {
      say: [0.5, 2.4],
      count: [1.5, 5.5],
      numeral: [0.8, 3],
      glance: [0.8, 2],
      compare: [0.8, 2],
      bond: [0, 1],
      sort: [1.4, 3],
      pattern: [1, 3],
      measure: [0.8, 1.6],
    },
    { answerModes: ['points', 'fingers', 'hands'] },
  ),
  child(
    'Mirela',
    '2022-01-04',
    'hill',
    'bark',
    ['kites', 'drums'],
    {
      say: [2, 5.4],
      count: [3, 7.4],
      numeral: [1.5, 4.4],
      glance: [1, 3],
      compare: [1, 3.4],
      bond: [0.5, 3.4],
      add: [0, 1.4],
      sort: [2, 4],
      pattern: [2, 4.4],
      measure: [1, 2.2],
    },
    { policy: 'secure-first' },
  ),
  child('Kofi', '2021-06-05', 'seed', 'spruce', ['drums', 'trains'], {
    say: [2.5, 6],
    count: [6, 11.5],
    numeral: [3, 7.2],
    glance: [2, 4.4],
    compare: [3, 6],
    bond: [2.5, 6],
    add: [0.6, 3.4],
    beyond: [0.4, 2],
    sort: [3, 5],
    pattern: [3, 5.6],
    measure: [1.5, 3.4],
  }),
  child(
    'Sunniva',
    '2020-12-01',
    'knot',
    'plum',
    ['knitting', 'snails'],
    {
      say: [5, 9],
      count: [9, 13],
      numeral: [6, 11.5],
      glance: [4, 6],
      compare: [5, 9],
      bond: [5, 9.4],
      add: [2, 6],
      beyond: [1, 4],
      sort: [4, 6],
      pattern: [5, 8],
      measure: [2.5, 5],
    },
    { cautions: { mouths: false, allergies: ['walnut'], note: '' }, policy: 'follow-child' },
  ),
];

const material = (name, use, count, box, shape, more = {}) => ({
  name,
  use,
  count,
  box,
  shape,
  colors: [],
  alike: true,
  consumable: false,
  interests: [],
  hazards: [],
  ...more,
});
const disc = (diameterMm, thicknessMm) => ({ kind: 'disc', diameterMm, thicknessMm });
const ball = (diameterMm) => ({ kind: 'ball', diameterMm });
const block = (lengthMm, widthMm, heightMm) => ({ kind: 'block', lengthMm, widthMm, heightMm });
const card = block(120, 90, 1);

export const MATERIALS = [
  material('cork discs', 'counter', 44, 'box 3', disc(30, 6), {
    colors: [
      { name: 'blue', count: 24 },
      { name: 'orange', count: 20 },
    ],
  }),
  material('large felt discs', 'counter', 36, 'box 4', disc(58, 5), {
    colors: [{ name: 'blue', count: 36 }],
    allergens: ['wool'],
  }),
  material(
    'wooden bobbins',
    'counter',
    48,
    'box 1',
    { kind: 'rod', lengthMm: 62, diameterMm: 34 },
    {
      interests: ['knitting'],
    },
  ),
  material('felt balls', 'counter', 30, 'box 2', ball(50), { alike: false, allergens: ['wool'] }),
  material('felt snails', 'counter', 8, 'box 5', ball(52), {
    alike: false,
    interests: ['snails'],
    allergens: ['wool'],
  }),
  material('big beads', 'counter', 40, 'box 6', ball(18), { hazards: ['cord'] }),
  material('dyed pegs', 'counter', 36, 'box 7', block(72, 12, 9), {
    colors: [
      { name: 'blue', count: 18 },
      { name: 'orange', count: 18 },
    ],
  }),
  material('skein rings', 'counter', 16, 'box 8', disc(90, 12), {
    interests: ['knitting'],
    allergens: ['wool'],
  }),
  material('wooden bowl', 'bowl', 2, 'shelf 1', { kind: 'unknown' }),
  material('dye jars with lids', 'jar', 6, 'shelf 2', { kind: 'unknown' }, { hazards: ['glass'] }),
  material('jar lids', 'cover', 8, 'shelf 2', disc(80, 12)),
  material('number cards 0 to 20', 'card', 21, 'folder A', card),
  material('ten frames', 'frame', 4, 'folder B', block(160, 70, 2)),
  material('number tracks to ten', 'track', 3, 'folder B', block(300, 35, 1)),
  material('dot plates', 'plate', 10, 'shelf 1', disc(180, 15)),
  material('dominoes to double six', 'tile', 28, 'box 9', block(80, 40, 12)),
  material('peg rail', 'rail', 1, 'box 7', block(420, 30, 20)),
  material('linen sack', 'sack', 1, 'box 5', { kind: 'unknown' }, { hazards: ['cord'] }),
  material('dot cards 1 to 10', 'card', 10, 'folder A', card),
  material('linen cloth', 'cloth', 3, 'box 5', { kind: 'unknown' }),
  material('egg cups', 'cup', 10, 'shelf 1', { kind: 'unknown' }),
  material('soft wool ball', 'ball', 2, 'box 2', ball(80), { allergens: ['wool'] }),
  material('large dice', 'die', 3, 'box 7', block(50, 50, 50)),
  material('tidy box', 'box', 2, 'shelf 3', { kind: 'unknown' }),
  material('kitchen scale', 'scale', 1, 'kitchen', { kind: 'unknown' }),
];

/** Songs in the household's own words. */
export const SONGS = [
  {
    title: 'Snails on the wall',
    direction: 'down',
    from: 5,
    to: 0,
    words:
      'Five slow snails upon the wall,\none slid off and did not fall.\nHow many snails are left in all?',
  },
  {
    title: 'Skeins in the dye pot',
    direction: 'up',
    from: 1,
    to: 10,
    words: 'One skein in, the pot turns blue,\nstir it round, and then there are two …',
  },
];

/**
 * Sessions that tell a story: [day, child, activity, skill, o for on their own and n for not yet, items]. Kofi's
 * bonds of five were secure before the week without preschool, and faded after it; Sunniva, counting
 * on, says the first number again.
 */
export const STORIES = [
  ['2026-01-05', 'Kofi', 'two-plates', 'bond-5', 'oooooo'],
  ['2026-01-08', 'Kofi', 'two-plates', 'bond-5', 'oooooo'],
  ['2026-01-13', 'Kofi', 'two-plates', 'bond-5', 'oooooo'],
  ['2026-01-20', 'Kofi', 'two-plates', 'bond-5', 'oooooo'],
  ['2026-02-24', 'Kofi', 'two-plates', 'bond-5', 'nnonnn'],
  ['2026-03-03', 'Kofi', 'two-plates', 'bond-5', 'nnnonn'],
  ['2026-02-17', 'Kofi', 'count-together', 'say-20', 'nn', ['to-20', 'to-20']],
  ['2026-02-25', 'Kofi', 'count-together', 'say-20', 'nn', ['to-20', 'to-20']],
  ['2026-03-05', 'Kofi', 'stairs', 'say-20', 'no', ['to-20', 'to-20']],
  ['2026-02-12', 'Mirela', 'show-say', 'name-10', 'nonono', ['n6', 'n8', 'n9', 'n7']],
  ['2026-02-26', 'Mirela', 'show-say', 'name-10', 'nono', ['n9', 'n10', 'n6', 'n0']],
  ['2026-03-06', 'Mirela', 'show-say', 'name-10', 'nnon', ['n6', 'n9', 'n7', 'n9']],
  ['2026-02-19', 'Sunniva', 'peg-rail', 'on-10', 'onnonn'],
  ['2026-02-26', 'Sunniva', 'two-towers', 'on-10', 'nonnon'],
  ['2026-03-05', 'Sunniva', 'peg-rail', 'on-10', 'nonnon'],
];

/** What the household has set on today by hand; the rest is planned around it. */
export const SET_TODAY = [
  ['arriving', 'count-together', 3, 'up to where each can', ['Ilse', 'Sunniva']],
  ['floor', 'handfuls', 12, 'one hand, one color', ['Ilse', 'Dilara', 'Mirela', 'Kofi']],
  ['snack', 'numbers-about', 3, 'jars, oven, scales', ['Dilara', 'Kofi']],
];
