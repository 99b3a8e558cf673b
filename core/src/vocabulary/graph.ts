import * as v from 'valibot';
import { Amount, Day, Id, Version, boundedArray, nonEmptyText } from './basics.js';

/** As many columns stand side by side on one page with names that can be read. */
export const MOST_GRAPH_COLUMNS = 12;
/** What one box may stand for. */
export const GRAPH_SCALES = [1, 2, 5, 10] as const;

const GraphColumn = v.object({
  name: nonEmptyText(30),
  /** What was predicted before it was counted; 0 where nobody did. */
  predicted: Amount,
  count: Amount,
});

/** A graph that the household made, of things on the table or of what came on a walk. */
export const Graph = v.object({
  id: Id,
  day: Day,
  title: nonEmptyText(60),
  columns: boundedArray(GraphColumn, MOST_GRAPH_COLUMNS),
  each: v.picklist(GRAPH_SCALES, `must be one of ${GRAPH_SCALES.join(', ')}`),
  version: Version,
});

export type Graph = v.InferOutput<typeof Graph>;
