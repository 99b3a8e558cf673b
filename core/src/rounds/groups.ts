import { numberWord, plural } from '../numbers/index.js';
import { type SkillItem, SKILLS, groupsItem, rowsItem } from '../skills/index.js';
import {
  type Cell,
  type Draft,
  type Game,
  type RoundModule,
  cameUpOf,
  choose,
  inRound,
  isOver,
  mayFollow,
  only,
  skillsOf,
  waitsFor,
} from './game.js';
import { Word, asksNumber, materialOf } from './round-words.js';

interface Grouped extends Cell {
  readonly rows: boolean;
}

const listed = (game: Game): Grouped[] =>
  SKILLS.filter(({ family }) => family === 'groups' || family === 'rows').flatMap((skill) =>
    skill.items
      .filter((item) => item.number <= Math.max(20, game.top))
      .map((item) => ({
        skillId: skill.id,
        itemId: item.id,
        key: `${skill.family}-${item.parts.join('-')}`,
        numbers: [...item.parts],
        rows: skill.family === 'rows',
      })),
  );

const of = (g: number, s: number, rows: boolean): string =>
  `${numberWord(g)} ${rows ? plural(g, 'row', 'rows') : plural(g, 'group', 'groups')} of ${numberWord(s)}`;

const capital = (text: string): string => text.replace(/^./, (c) => c.toUpperCase());

function ask(game: Game, g: number, s: number, rows: boolean, item: SkillItem | null): Draft {
  const repeated = game.round.form === 'repeat';
  const own = skillsOf(game.activity);
  return {
    key: `${rows ? 'rows' : 'groups'}-${g}-${s}`,
    ...asksNumber(
      game,
      g * s,
      repeated
        ? `${Word(s)} and ${numberWord(s)}${g > 2 ? ' and so on' : ''}: how many times? How many in all?`
        : `How many ${rows ? 'rows' : 'groups'}? How many in each? How many in all?`,
    ),
    lay: `${capital(of(g, s, rows))}${game.round.material ? ` ${materialOf(game)[1]}` : ''}.`,
    lying: [g, s],
    right: { kind: 'groups', groups: g, size: s, answer: g * s, leftOver: null },
    counts: only(item && own.has(item.skillId) ? item : null),
    sentence: {
      words: `${capital(of(g, s, rows))} make ${numberWord(g * s)}.`,
      sum: repeated
        ? `${Array.from({ length: g }, () => s).join(' + ')} = ${g * s}`
        : `${g} × ${s} = ${g * s}`,
      partWhole: null,
    },
    drawn: { scene: rows ? 'rows' : 'groups', numbers: [g, s] },
  };
}

/** Turned round, or a group taken away, from what lies there. */
function then(game: Game, g: number, s: number, rows: boolean): Draft | null {
  if (rows) {
    const item = rowsItem(s, g) ?? rowsItem(g, s);
    return {
      ...ask(game, s, g, true, item),
      key: `turned-${g}-${s}`,
      ...asksNumber(game, g * s, 'I turn the tray. How many are there now?'),
      lay: 'Turn the tray a quarter.',
    };
  }
  if (g < 3) return null;
  return {
    ...ask(game, g - 1, s, false, groupsItem(g - 1, s)),
    key: `less-${g}-${s}`,
    ...asksNumber(game, (g - 1) * s, 'I take one group away. How many are there now?'),
    lay: 'Take one group away.',
  };
}

/** g groups of s, said so, counted by s; turned, or one group taken away. */
export const groups: RoundModule = {
  kind: 'groups',
  credits: ({ form }) => {
    if (form === 'rows' || form === 'repeat') return ['groups', 'rows', 'groups-more'];
    return ['groups', 'groups-more'];
  },
  next(game) {
    if (isOver(game, 6)) return null;
    const { form } = game.round;
    const here = inRound(game);
    const last = here.at(-1);
    if (here.length % 2 === 1 && last?.record.kind === 'groups' && mayFollow(game)) {
      const found = then(
        game,
        last.record.groups,
        last.record.size,
        last.counts.some(({ skillId }) => skillId === 'rows'),
      );
      if (found) return found;
    }
    if (game.round.came !== undefined) {
      const cameUp = cameUpOf(game, ['groups', 'in each'], 1, 12);
      const [g, s] = game.came;
      if (g === undefined || s === undefined) {
        return waitsFor('find', 'Find what comes in groups: ears, arms, gloves.', cameUp);
      }
      return { ...ask(game, g, s, false, groupsItem(g, s)), cameUp };
    }
    const cells = listed(game).filter(({ rows }) => (form === undefined ? !rows : true));
    const cell = choose(game, cells);
    const [g, s] = cell?.numbers ?? [];
    return cell && g !== undefined && s !== undefined
      ? ask(game, g, s, cell.rows, { skillId: cell.skillId, itemId: cell.itemId })
      : null;
  },
};
