/** npm run bench [-- name ...]: measures, prints, and writes docs/benchmarks.md, or some parts of it. */
import { readFileSync, writeFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { join } from 'node:path';
import { chromium } from './lib/chromium.mjs';
import { ROOT, build, install, main, run, say, bin } from './lib/steps.mjs';

await main(async () => {
  install();
  // Pages are looked at too: a browser that is missing is missed now, not after minutes.
  chromium();
  build();
  const all = {
    transfer: async () => (await import('../bench/transfer.mjs')).transfer(),
    writes: async () => (await import('../bench/writes.mjs')).writes(),
    progress: async () => (await import('../bench/progress.mjs')).progress(),
    search: async () => (await import('../bench/search.mjs')).search(),
    scroll: async () => (await import('../bench/scroll.mjs')).scroll(),
    tray: async () => (await import('../bench/tray.mjs')).tray(),
    plan: async () => (await import('../bench/plan.mjs')).plans(),
    print: async () => (await import('../bench/print.mjs')).printing(),
    fold: async () => (await import('../bench/fold.mjs')).folding(),
    decisions: async () => (await import('../bench/decisions.mjs')).decisions(),
    load: async () => (await import('../bench/load.mjs')).load(),
    years: async () => (await import('../bench/ten-years.mjs')).tenYears(),
    look: async () => (await import('../bench/first-look.mjs')).firstLook(),
    month: async () => (await import('../bench/first-month.mjs')).firstMonth(),
  };
  const named = process.argv.slice(2).filter((name) => name in all);
  const chosen = named.length > 0 ? named : Object.keys(all);
  const parts = [];
  for (const name of chosen) {
    parts.push(await all[name]());
    say(`\n${parts.at(-1)}`);
  }
  const file = join(ROOT, 'docs/benchmarks.md');
  if (named.length > 0) {
    // What was measured takes the place of what was there of the same.
    const old = readFileSync(file, 'utf8');
    writeFileSync(file, parts.reduce(withSection, old));
    run(bin('prettier'), ['--write', '--log-level', 'warn', file]);
    return;
  }
  const day = new Date().toISOString().slice(0, 10);
  const head = [
    '# Benchmarks',
    '',
    `Written by \`npm run bench\` on ${day}: Node ${process.versions.node}, ${cpus().length} cores (${cpus()[0].model.trim()}). Compare ratios, not single times: machines differ.`,
  ].join('\n');
  writeFileSync(file, `${[head, ...parts].join('\n\n')}\n`);
  run(bin('prettier'), ['--write', '--log-level', 'warn', file]);
});

/** The text with a section in the place of the one that has its heading, or at the end. */
function withSection(text, section) {
  const [heading] = section.split('\n', 1);
  const from = text.indexOf(`${heading}\n`);
  if (from < 0) return `${text.trimEnd()}\n\n${section}\n`;
  const next = text.indexOf('\n## ', from + heading.length);
  return `${text.slice(0, from)}${section}\n${next < 0 ? '' : text.slice(next)}`;
}
