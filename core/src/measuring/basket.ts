/** A thing in a basket, by what it can be sorted by. */
export interface BasketMaterial {
  readonly id: string;
  readonly name: string;
  /** By attribute: "color" → "red". */
  readonly looks: Readonly<Record<string, string>>;
}

/** A column of a chart. */
export interface ChartColumn {
  readonly name: string;
  readonly count: number;
}

/** The basket sorted by one attribute, in the order in which its values first come. */
export function sortedBy(basket: readonly BasketMaterial[], attribute: string): ChartColumn[] {
  const counts = new Map<string, number>();
  for (const { looks } of basket) {
    const value = looks[attribute];
    if (value !== undefined) counts.set(value, (counts.get(value) ?? 0) + 1);
  }
  return [...counts].map(([name, count]) => ({ name, count }));
}

export type QuestionKind = 'count' | 'most' | 'fewest' | 'same' | 'more' | 'fewer';

/** A question about a chart, as the adult can say it. */
export interface ChartQuestion {
  readonly kind: QuestionKind;
  readonly ask: string;
  /** A column's name, or a number in digits. */
  readonly answer: string;
  /** What else may be tapped, the answer among it. */
  readonly choices: readonly string[];
}

/** Only one column may be the answer. */
const only = (columns: readonly ChartColumn[], count: number): boolean =>
  columns.filter((one) => one.count === count).length === 1;

/**
 * Questions about a chart for a child: first how many, most and fewest; then which are the same, and
 * how many more and fewer, where the difference lies in the child's range.
 * @param top how far the child's range goes
 */
export function chartQuestions(columns: readonly ChartColumn[], top: number): ChartQuestion[] {
  const names = columns.map((one) => one.name);
  const counts = columns.map((one) => one.count);
  if (columns.length === 0) return [];
  const [most, fewest] = [Math.max(...counts), Math.min(...counts)];
  const numbers = (right: number): string[] => {
    const near = [right - 1, right, right + 1, ...counts].filter((n) => n >= 0 && n <= 100);
    return [...new Set(near)].sort((a, b) => a - b).map(String);
  };
  const found: ChartQuestion[] = columns
    .filter((one) => one.count <= top)
    .map(({ name, count }) => ({
      kind: 'count',
      ask: `How many in “${name}”?`,
      answer: String(count),
      choices: numbers(count),
    }));
  const nameOf = (count: number): string => columns.find((one) => one.count === count)?.name ?? '';
  if (columns.length > 1 && most !== fewest) {
    if (only(columns, most)) {
      found.push({ kind: 'most', ask: 'Which has most?', answer: nameOf(most), choices: names });
    }
    if (only(columns, fewest)) {
      found.push({
        kind: 'fewest',
        ask: 'Which has fewest?',
        answer: nameOf(fewest),
        choices: names,
      });
    }
  }
  columns.forEach((a, i) => {
    columns.slice(i + 1).forEach((b) => {
      const apart = Math.abs(a.count - b.count);
      if (
        apart === 0 &&
        only(
          columns.filter((one) => one !== a),
          a.count,
        )
      ) {
        found.push({
          kind: 'same',
          ask: `Which has as many as “${a.name}”?`,
          answer: b.name,
          choices: names.filter((name) => name !== a.name),
        });
      }
      if (apart === 0 || apart > top) return;
      const [more, fewer] = a.count > b.count ? [a, b] : [b, a];
      found.push(
        {
          kind: 'more',
          ask: `How many more in “${more.name}” than in “${fewer.name}”?`,
          answer: String(apart),
          choices: numbers(apart),
        },
        {
          kind: 'fewer',
          ask: `How many fewer in “${fewer.name}” than in “${more.name}”?`,
          answer: String(apart),
          choices: numbers(apart),
        },
      );
    });
  });
  return found;
}
