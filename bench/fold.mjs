/** The fold of years of records, beside parsing the same rows from JSON in the same run. */
import { replay } from '@gumo/core/evidence';
import { observations } from './invented-records.mjs';
import { median, table, timed } from './lib.mjs';

const COUNT = 100_000;
const DAYS = 2_500;
const ROUNDS = 5;
const CHILD = '00000000-0000-4000-8000-000000000001';

export async function folding() {
  const rows = observations(COUNT, DAYS, CHILD).map((one) => JSON.stringify(one));
  const rounds = [];
  for (let round = 0; round <= ROUNDS; round++) {
    let parsed = [];
    const parse = await timed(() => (parsed = rows.map((row) => JSON.parse(row))));
    const facts = parsed.map((observation) => ({ kind: 'observation', observation }));
    const fold = await timed(() => replay(CHILD, 'balanced', facts));
    if (round > 0) rounds.push({ parse, fold, ratio: fold / parse });
  }
  const mid = (name) => median(rounds.map((one) => one[name]));
  return [
    '## The fold',
    '',
    `${COUNT.toLocaleString('en')} observations of one child on ${DAYS.toLocaleString('en')} days, median of ${ROUNDS} rounds after one to warm up. Goal: at most 3 times the parsing.`,
    '',
    table([
      ['parsing the rows from JSON', 'folding them from the beginning', 'ratio'],
      [`${mid('parse').toFixed(0)} ms`, `${mid('fold').toFixed(0)} ms`, mid('ratio').toFixed(2)],
    ]),
  ].join('\n');
}
