/** One share of the simulated learners, in a thread. */
import { parentPort } from 'node:worker_threads';
import { CONDITIONS, CUSTOMARY, POLICIES, isSeenInTime, learn, year } from './learners.mjs';

const percent = (part, of) => (100 * part) / Math.max(1, of);
const mean = (values) => values.reduce((sum, one) => sum + one, 0) / Math.max(1, values.length);

/** How a rule called the skill known on some learners, in percent of them, and tries. */
function figures(learners, name) {
  const made = learners.filter((one) => one.called[name]);
  const late = made.flatMap(({ called, mastered }) =>
    mastered !== null && called[name].tries >= mastered ? [called[name].tries - mastered] : [],
  );
  return {
    early: percent(made.filter(({ called }) => called[name].share <= 0.65).length, learners.length),
    below: percent(made.filter(({ called }) => called[name].share < 0.75).length, made.length),
    late: mean(late),
    calls: made.length,
  };
}

const works = {
  condition({ name, seed, many }) {
    const learners = Array.from({ length: many }, (_, i) => learn(seed + i, CONDITIONS[name]));
    const rules = [...POLICIES, ...Object.keys(CUSTOMARY)];
    const rested = learners.filter((one) => one.rested.length > 0);
    return {
      rules: Object.fromEntries(rules.map((rule) => [rule, figures(learners, rule)])),
      rested: percent(rested.length, many),
      restedWrongly: percent(
        rested.filter((one) => one.rested.some((share) => share >= 0.65)).length,
        many,
      ),
    };
  },
  years({ seed, many }) {
    const all = (falls) => Array.from({ length: many }, (_, i) => year(seed + i, falls));
    return {
      seen: percent(all(true).filter(isSeenInTime).length, many),
      wrongly: percent(all(false).filter((one) => one.lost !== null).length, many),
    };
  },
};

parentPort.on('message', (task) => {
  parentPort.postMessage({ task, found: works[task.what](task) });
});
