import type { Use } from '../vocabulary/index.js';

/** How a thing comes into the house, for those that not every kitchen has. */
export interface ToMake {
  readonly name: string;
  readonly minutes: number;
  /** What to do, in a sentence or two. */
  readonly how: string;
}

const make = (name: string, minutes: number, how: string): ToMake => ({ name, minutes, how });

/** Own words, common practice, no source; nothing of it needs more than scissors and tape. */
export const TO_MAKE: Readonly<Partial<Record<Use, ToMake>>> = {
  counter: make(
    'things to count',
    15,
    'Cut thirty rounds of cardboard or felt, as wide as an egg cup, half of them in another color.',
  ),
  cube: make(
    'cubes to build with',
    5,
    'Twenty wooden cubes or large plug-together bricks, in two colors: ask a family whose children have outgrown them.',
  ),
  block: make(
    'blocks',
    15,
    'Fold down and tape shut ten empty boxes of one size, tea or soap boxes for example.',
  ),
  ball: make('a soft ball', 2, 'Roll up a pair of socks, one inside the other.'),
  board: make('a board', 5, 'Cut one side off a cardboard box and round the corners.'),
  card: make('cards', 10, 'Cut sheets of stiff paper in eight and write or draw on them.'),
  sticker: make('dot stickers', 5, 'Buy round stickers, or cut squares of paper tape.'),
  paint: make(
    'washable paint',
    5,
    'Buy washable finger paint, and read what it holds where somebody has an allergy.',
  ),
  dough: make(
    'dough',
    15,
    'Knead salt dough or take modeling clay; read what it holds where somebody has an allergy.',
  ),
  tape: make('tape for the floor', 5, 'Buy paper tape that comes off again without a trace.'),
  line: make(
    'a line to hang things on',
    5,
    'Stretch a line between two chairs while you are there, and take it down afterwards.',
  ),
  string: make(
    'a bead string',
    15,
    'Thread ten large beads, five of each color, and knot both ends. It stays with you: a cord is never worn or left out.',
  ),
  peg: make('clothespins', 5, 'Ten clothespins that small hands can open: try one first.'),
  stick: make('sticks', 5, 'Twenty craft sticks, or thin branches cut to one length and sanded.'),
  rail: make(
    'a peg rail',
    10,
    'Clip twenty clothespins, ten of each color, on a strip of stiff cardboard.',
  ),
  'tube-box': make(
    'a box with tubes',
    20,
    'Cut two round holes into the lid of a shoe box and tape a paper tube into each.',
  ),
  tile: make('tiles', 15, 'Print the tiles, glue them on cardboard and cut them apart.'),
  tens: make(
    'ten-things',
    15,
    'Tie sticks in bundles of ten, or cut strips of ten from squared paper.',
  ),
  coin: make('play coins', 15, 'Print the coins, glue them on cardboard and cut them out.'),
  letter: make(
    'letter tiles',
    15,
    'Write the letters of the children’s names on squares of cardboard.',
  ),
  die: make(
    'large dice',
    10,
    'Cut two sponges into cubes and draw one to six dots on the sides with a marker.',
  ),
  puppet: make(
    'a puppet',
    10,
    'Draw two eyes and a mouth on an old sock; sew on nothing that could come off.',
  ),
  book: make(
    'a picture book',
    5,
    'Fold four sheets of paper into a booklet and draw a story in it together.',
  ),
  vehicle: make(
    'small vehicles',
    10,
    'Ten small cars, or snails: bottle corks with a paper shell, where nobody puts things into the mouth.',
  ),
  hoop: make('hoops', 5, 'Lay rings of rope on the floor, and take the rope away afterwards.'),
  mirror: make('a safety mirror', 5, 'Buy a mirror of acrylic, never glass, with taped edges.'),
  scale: make(
    'a kitchen scale',
    5,
    'Borrow the one from the kitchen, or ask a neighbor for an old one.',
  ),
  balance: make(
    'a balance',
    10,
    'Hang two equal bags on the ends of a clothes hanger, and the hanger on a door handle.',
  ),
  parcel: make(
    'parcels',
    10,
    'Put the same number of pieces into each of a few envelopes or small boxes.',
  ),
  tongs: make('tongs', 2, 'Take those from the kitchen that small hands can press.'),
  mat: make('mats', 5, 'Lay out a dish towel or a sheet of paper for each child.'),
  frame: make('frames', 5, 'Print the frames, or draw two rows of five squares.'),
};
