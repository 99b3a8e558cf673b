import { hashText, seeded } from '../numbers/index.js';
import type { RecordOf } from '../vocabulary/index.js';

const NAMES = ['blue', 'orange', 'green', 'red'] as const;

/** What a chart is made for: one item, and a key that always gives the same chart. */
interface Asked {
  readonly skillId: string;
  readonly itemId: string;
  readonly parts: readonly number[];
  readonly key: string;
}

type Groups = RecordOf<'chart'>['groups'];

/** Counts for the columns, each different unless two are to be the same. */
function columns(counts: readonly number[]): Groups {
  return counts.map((count, i) => ({ name: NAMES[i] ?? `column ${i + 1}`, count }));
}

/** How far apart two columns stand for an item such as `more-3`: one or two, or three to five. */
const apart = (itemId: string, random: () => number): number =>
  itemId.endsWith('1') ? 1 + Math.floor(random() * 2) : 3 + Math.floor(random() * 3);

/**
 * A small chart of things for a prompt, its question, and the answer that is right: a column's
 * name, or a number in digits.
 */
export function chartFor({ skillId, itemId, parts, key }: Asked): RecordOf<'chart'> {
  const random = seeded(hashText(key));
  const few = 2 + Math.floor(random() * 2);
  const chart = (groups: Groups, question: string, answer: string): RecordOf<'chart'> => ({
    kind: 'chart',
    rule: 'by color',
    groups,
    question,
    answer,
  });
  if (skillId === 'chart-build') {
    const size = Number(itemId.slice(-1));
    const groups = columns([few + 2, few, few + 3, few + 1].slice(0, size));
    return chart(groups, 'How many columns begin at the line?', String(size));
  }
  if (skillId === 'chart-differ' || skillId.startsWith('differ')) {
    const [a, b] =
      parts.length === 2 ? [parts[0] ?? 0, parts[1] ?? 0] : [few + apart(itemId, random), few];
    const fewer = itemId.startsWith('fewer');
    const question = fewer ? 'How many fewer are orange?' : 'How many more are blue?';
    return chart(columns([a, b]), question, String(Math.abs(a - b)));
  }
  if (skillId.startsWith('more')) {
    const [a = 0, b = 0] = parts;
    const answer = a === b ? 'the same' : a > b ? NAMES[0] : NAMES[1];
    return chart(columns([a, b]), 'Which has more?', answer);
  }
  switch (itemId) {
    case 'fewest':
      return chart(columns([few + 2, few, few + 3]), 'Which has fewest?', NAMES[1]);
    case 'count':
      return chart(columns([few + 2, few, few + 4]), 'How many are blue?', String(few + 2));
    case 'same':
      return chart(columns([few + 1, few + 1, few + 3]), 'Which has as many as blue?', NAMES[1]);
    default:
      return chart(columns([few + 2, few, few + 4]), 'Which has most?', NAMES[2]);
  }
}
