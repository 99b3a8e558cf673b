import type { Hazard, Material, Shape, Use } from '../vocabulary/index.js';

/** Groups of ordinary things, as they lie together in a house. */
export const THING_GROUPS = [
  'Kitchen',
  'Pantry and snack',
  'Sewing and mending',
  'Toys',
  'Paper and writing',
  'Painting, dough and tape',
  'Around the house',
  'From outdoors',
] as const;
export type ThingGroup = (typeof THING_GROUPS)[number];

/** An ordinary thing, with how many a house usually has and the size it usually is. */
export interface HouseholdThing {
  readonly group: ThingGroup;
  readonly material: Omit<Material, 'id' | 'version'>;
}

const ball = (diameterMm: number): Shape => ({ kind: 'ball', diameterMm });
const disc = (diameterMm: number, thicknessMm: number): Shape => ({
  kind: 'disc',
  diameterMm,
  thicknessMm,
});
const rod = (lengthMm: number, diameterMm: number): Shape => ({
  kind: 'rod',
  lengthMm,
  diameterMm,
});
const block = (lengthMm: number, widthMm: number, heightMm: number): Shape => ({
  kind: 'block',
  lengthMm,
  widthMm,
  heightMm,
});

interface More {
  readonly shape?: Shape;
  /** Names of colors; the count is shared out among them. */
  readonly colors?: readonly string[];
  readonly faces?: Material['faces'];
  readonly hazards?: readonly Hazard[];
  readonly alike?: boolean;
  readonly consumable?: boolean;
  readonly allergens?: Material['allergens'];
}

function shared(count: number, names: readonly string[]): Material['colors'] {
  const each = Math.floor(count / names.length);
  return names.map((name) => ({ name, count: each }));
}

type Row = readonly [name: string, use: Use, count: number, more?: More];

/** Usual sizes in mm, usual counts for a house with small children (common practice, no source). */
const ROWS: Readonly<Record<ThingGroup, readonly Row[]>> = {
  Kitchen: [
    ['mixing bowls', 'bowl', 3, { alike: false }],
    ['small bowls', 'bowl', 6],
    ['plates', 'plate', 6],
    ['small plates', 'plate', 6],
    ['cups', 'cup', 6],
    ['egg cups', 'cup', 6],
    ['muffin tin', 'tray', 1],
    ['baking tray', 'tray', 1],
    ['serving tray', 'tray', 2],
    ['ice cube tray', 'board', 1],
    ['egg carton of ten', 'board', 1],
    ['jars with lids', 'jar', 4, { hazards: ['glass'] }],
    ['plastic bottles', 'jar', 3, { alike: false }],
    ['measuring cups', 'cup', 4, { alike: false }],
    ['kitchen scale', 'scale', 1],
    ['kitchen tongs', 'tongs', 1],
    ['sugar tongs', 'tongs', 1],
    ['dish towels', 'towel', 4],
    ['spoons', 'unit', 12, { shape: rod(190, 40) }],
    ['teaspoons', 'unit', 12, { shape: rod(130, 28) }],
    ['forks', 'loose', 6, { shape: rod(190, 25) }],
    ['bottle caps', 'counter', 20, { shape: disc(30, 15) }],
    ['jar lids', 'counter', 10, { shape: disc(70, 12) }],
    ['corks', 'counter', 12, { shape: rod(45, 24) }],
    ['drinking straws', 'stick', 30, { shape: rod(200, 6) }],
    ['wooden spoons', 'stick', 4, { shape: rod(280, 15) }],
    ['cutting board', 'board', 1],
  ],
  'Pantry and snack': [
    ['dried chickpeas', 'loose', 100, { shape: ball(9), hazards: ['food'], allergens: [] }],
    ['dried beans', 'loose', 100, { shape: rod(15, 8), hazards: ['food'], allergens: [] }],
    [
      'pasta tubes',
      'loose',
      60,
      { shape: rod(40, 10), hazards: ['food', 'allergen'], allergens: ['wheat'] },
    ],
    [
      'pasta shells',
      'loose',
      60,
      { shape: ball(28), hazards: ['food', 'allergen'], allergens: ['wheat'] },
    ],
    [
      'crackers',
      'snack',
      30,
      { consumable: true, hazards: ['food', 'allergen'], allergens: ['wheat'] },
    ],
    ['apple slices', 'snack', 20, { consumable: true, hazards: ['food'], allergens: [] }],
    ['carrot sticks', 'snack', 20, { consumable: true, hazards: ['food'], allergens: [] }],
    ['potatoes', 'loose', 10, { shape: ball(60), alike: false, allergens: [] }],
    ['apples', 'loose', 6, { shape: ball(75), alike: false, allergens: [] }],
    ['lemons', 'loose', 3, { shape: ball(60), alike: false, allergens: [] }],
  ],
  'Sewing and mending': [
    ['buttons', 'counter', 40, { shape: disc(20, 3), alike: false }],
    ['large buttons', 'counter', 20, { shape: disc(40, 5) }],
    ['empty spools', 'counter', 10, { shape: rod(45, 34) }],
    ['pompoms', 'counter', 30, { shape: ball(25), colors: ['red', 'blue', 'yellow'] }],
    ['large pompoms', 'counter', 20, { shape: ball(50), colors: ['red', 'blue'] }],
    ['big beads', 'counter', 20, { shape: ball(45), colors: ['red', 'blue'] }],
    ['wooden beads', 'counter', 40, { shape: ball(16), colors: ['red', 'blue'] }],
    ['shoelaces', 'string', 4, { hazards: ['cord'] }],
    ['yarn', 'yarn', 3, { hazards: ['cord'] }],
    ['ribbon', 'yarn', 2, { hazards: ['cord'] }],
    ['felt pieces', 'cloth', 4],
    ['napkins', 'cloth', 8],
    ['scarves', 'cloth', 3],
    ['drawstring bag', 'sack', 1],
    ['pillowcase', 'sack', 2],
    ['measuring tape', 'line', 1, { hazards: ['cord'] }],
  ],
  Toys: [
    ['wooden blocks', 'block', 30, { shape: block(60, 40, 30), colors: ['red', 'blue', 'yellow'] }],
    ['wooden cubes', 'cube', 30, { shape: block(25, 25, 25), colors: ['red', 'blue', 'green'] }],
    ['large cubes', 'cube', 20, { shape: block(45, 45, 45), colors: ['red', 'blue'] }],
    ['plug-together bricks', 'cube', 60, { shape: block(32, 16, 11), colors: ['red', 'blue'] }],
    ['large bricks', 'block', 30, { shape: block(64, 32, 24), colors: ['red', 'blue'] }],
    ['dice', 'die', 4, { shape: block(16, 16, 16) }],
    ['large foam dice', 'die', 2, { shape: block(80, 80, 80) }],
    ['dominoes', 'tile', 28, { shape: block(48, 24, 8), faces: 'dots' }],
    ['playing cards', 'card', 52, { faces: 'pictures' }],
    ['toy cars', 'vehicle', 10, { shape: block(75, 35, 25), alike: false }],
    ['toy trucks', 'vehicle', 2, { shape: block(150, 80, 80) }],
    ['toy animals', 'counter', 12, { shape: block(80, 50, 30), alike: false }],
    ['marbles', 'counter', 20, { shape: ball(16) }],
    ['soft balls', 'ball', 3, { shape: ball(100) }],
    ['tennis balls', 'ball', 3, { shape: ball(67) }],
    ['bean bags', 'ball', 4, { shape: block(100, 100, 40) }],
    ['hand puppet', 'puppet', 1],
    ['soft toy that can talk', 'puppet', 1],
    ['hoops', 'hoop', 4],
    ['stacking cups', 'cup', 8, { alike: false }],
    ['peg board pegs', 'peg', 30, { shape: rod(50, 15), colors: ['red', 'blue'] }],
    ['shape tiles', 'tile', 30, { shape: block(45, 45, 6), faces: 'shapes', alike: false }],
    ['foam letters', 'letter', 26, { shape: block(60, 50, 10) }],
    ['play coins', 'coin', 30, { shape: disc(22, 2), alike: false }],
  ],
  'Paper and writing': [
    ['crayons', 'pen', 12],
    ['colored pencils', 'pen', 12],
    ['washable markers', 'pen', 10],
    ['chalk', 'pen', 10],
    ['printer paper', 'paper', 200, { consumable: true }],
    ['colored paper', 'paper', 50, { consumable: true }],
    ['roll of paper', 'paper', 1, { consumable: true }],
    ['index cards', 'card', 100, { faces: 'blank' }],
    ['sticky notes', 'card', 100, { faces: 'blank', consumable: true }],
    ['dot stickers', 'sticker', 100, { consumable: true, colors: ['red', 'blue'] }],
    ['picture books', 'book', 10],
    ['counting book', 'book', 1],
    ['envelopes', 'parcel', 20],
    ['small whiteboard', 'board', 1],
    ['craft sticks', 'stick', 50, { shape: rod(114, 10) }],
    ['paper clips', 'unit', 50, { shape: block(32, 7, 1) }],
  ],
  'Painting, dough and tape': [
    ['finger paint', 'paint', 4, { consumable: true, allergens: [] }],
    ['ink pad', 'paint', 1, { allergens: [] }],
    ['salt dough', 'dough', 1, { hazards: ['allergen'], allergens: ['wheat'] }],
    ['modeling clay', 'dough', 1],
    ['painter’s tape', 'tape', 1],
    ['sticky tape', 'tape', 1],
    ['children’s scissors', 'scissors', 2, { hazards: ['sharp'] }],
    ['sponges', 'block', 4, { shape: block(90, 60, 30) }],
  ],
  'Around the house': [
    ['clothespins', 'peg', 30, { shape: rod(72, 12) }],
    ['clothes hanger with clips', 'balance', 1],
    ['bathroom scale', 'scale', 1],
    ['safety mirror', 'mirror', 1],
    ['two mirror tiles', 'mirror', 2],
    ['laundry basket', 'basket', 1],
    ['small baskets', 'basket', 4],
    ['shoe boxes', 'box', 3],
    ['cardboard boxes', 'parcel', 4, { alike: false }],
    ['paper tubes', 'tube-box', 4, { shape: rod(110, 42) }],
    ['pairs of socks', 'pair', 8, { alike: false }],
    ['keys', 'loose', 6, { shape: block(55, 25, 3), alike: false }],
    ['washcloths', 'cloth', 6],
    ['small rug or mat', 'mat', 1],
    ['rope', 'line', 1, { hazards: ['cord'] }],
  ],
  'From outdoors': [
    ['pine cones', 'loose', 15, { shape: ball(50), alike: false }],
    ['chestnuts', 'counter', 30, { shape: ball(30), alike: false, allergens: [] }],
    ['smooth stones', 'counter', 20, { shape: ball(45), alike: false }],
    ['pebbles', 'counter', 40, { shape: ball(20), alike: false }],
    ['seashells', 'loose', 20, { shape: disc(35, 12), alike: false }],
    ['sticks', 'stick', 12, { shape: rod(200, 12), alike: false }],
    ['leaves', 'loose', 20, { alike: false, consumable: true, shape: disc(80, 1) }],
    ['buckets', 'basket', 2],
  ],
};

function thingOf(group: ThingGroup, [name, use, count, more = {}]: Row): HouseholdThing {
  const { colors = [], hazards = [], ...rest } = more;
  const material: HouseholdThing['material'] = {
    ...{ name, use, count, alike: true, shape: { kind: 'unknown' }, box: '' },
    ...{ consumable: false, interests: [] },
    ...rest,
    colors: shared(count, colors),
    hazards: [...hazards],
  };
  return { group, material };
}

/** About a hundred ordinary things, group by group. */
export const HOUSEHOLD_THINGS: readonly HouseholdThing[] = THING_GROUPS.flatMap((group) =>
  ROWS[group].map((row) => thingOf(group, row)),
);
