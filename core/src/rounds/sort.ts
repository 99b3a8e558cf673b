import { SKILLS, itemOf } from '../skills/index.js';
import type { CaptureRecord } from '../vocabulary/index.js';
import {
  type Cell,
  type Draft,
  type Game,
  type RoundModule,
  choose,
  isOver,
  only,
  skillsOf,
} from './game.js';
import { plain } from './round-words.js';

const FAMILIES = ['alike', 'sort-one', 'sort-other', 'shape-find'];
const SHAPES: Readonly<Record<string, string>> = {
  circle: 'a circle',
  square: 'a square',
  triangle: 'a triangle',
  rectangle: 'a rectangle',
  oval: 'an oval',
  'six-sided': 'a six-sided shape',
};
/** A basket holds as many. */
const MATERIALS = 12;

const sorted = (rule: string, placedRight: number | null): CaptureRecord => ({
  kind: 'sort',
  rule,
  groups: [],
  placedRight,
});

/** A shape to be hunted for; what the child brings is tapped. */
function shape(cell: Cell): Draft {
  const wanted = SHAPES[cell.itemId] ?? 'a circle';
  return {
    key: cell.key,
    say: `Find ${wanted}, and peg it up.`,
    lay: `${wanted.replace(/^./, (c) => c.toUpperCase())} on the line, others about the room.`,
    lying: [],
    right: sorted(wanted, 1),
    heard: false,
    way: 'handed',
    choices: Object.values(SHAPES).map((words) => ({
      words,
      record: sorted(words, words === wanted ? 1 : 0),
    })),
    counts: only(cell),
    sentence: plain(`This is ${wanted}.`),
  };
}

const RULES: Readonly<Record<string, string>> = {
  color: 'color',
  kind: 'kind',
  size: 'size',
  shape: 'shape',
  'color-size': 'color, then size',
  'size-shape': 'size, then shape',
  'kind-color': 'kind, then color',
  own: 'an idea of their own',
};

/** Everything put where it belongs; the rule said by the child. */
function basket(game: Game, cell: Cell): Draft {
  const again = cell.skillId === 'sort-other';
  const rule = RULES[cell.itemId] ?? 'color';
  return {
    key: cell.key,
    say: again
      ? 'Sort them again, by another idea. What is your rule?'
      : 'Put together what belongs together. What is your rule?',
    lay: again ? `The same things: ${rule}.` : `Mixed things and mats, to be sorted by ${rule}.`,
    lying: [],
    right: sorted(rule, MATERIALS),
    way: 'shown',
    top: MATERIALS,
    counts: only(cell),
    sentence: plain('All that lie here belong together.'),
    ...(game.modes.includes('speaks') ? {} : { say: 'Put together what belongs together.' }),
  };
}

function twin(cell: Cell): Draft {
  const right: CaptureRecord = { kind: 'note', words: '' };
  return {
    key: cell.key,
    say: 'Find one that goes with this one.',
    lay: 'One thing out of the basket, and four to choose from.',
    lying: [],
    right,
    heard: false,
    way: 'pointed',
    choices: ['the one that goes with it', 'one nearly alike', 'another one'].map((words, i) => ({
      words,
      record: { ...right, words: i === 0 ? '' : words },
    })),
    counts: only(cell),
  };
}

/** Sorted by a rule, then by another; a shape found among things. */
export const sort: RoundModule = {
  kind: 'sort',
  credits: ({ form }) => (form === 'shapes' ? ['shape-find'] : FAMILIES),
  next(game) {
    if (isOver(game, 8)) return null;
    const own = skillsOf(game.activity);
    const wanted = game.round.form === 'shapes' ? ['shape-find'] : FAMILIES;
    const cells = SKILLS.filter(({ id }) => wanted.includes(id) && own.has(id)).flatMap((skill) =>
      skill.items.flatMap((item, i): Cell[] =>
        itemOf(skill.id, item.id)
          ? [
              {
                skillId: skill.id,
                itemId: item.id,
                key: `${skill.id}-${item.id}`,
                numbers: [i + 1],
              },
            ]
          : [],
      ),
    );
    const cell = choose(game, cells);
    if (!cell) return null;
    if (cell.skillId === 'shape-find') return shape(cell);
    return cell.skillId === 'alike' ? twin(cell) : basket(game, cell);
  },
};
