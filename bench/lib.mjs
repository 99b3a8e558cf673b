/** Small helpers for benchmarks: timing, medians, tables. */
export const median = (values) => {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)];
};

/** Milliseconds that some work takes. */
export async function timed(work) {
  const start = performance.now();
  await work();
  return performance.now() - start;
}

/** A Markdown table; the first row is the head. */
export function table(rows) {
  const line = (cells) => `| ${cells.join(' | ')} |`;
  const [head, ...rest] = rows;
  return [line(head), line(head.map(() => '---')), ...rest.map(line)].join('\n');
}
