/**
 * Lints all styles: the sheets, and what stands in components between `styles: ` and its end, each
 * at its own line. Says what is wrong and ends with 1, or says how many lines of styles there are.
 */
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import stylelint from 'stylelint';
import { ROOT } from './lib/steps.mjs';

const WEB = join(ROOT, 'web/src');
const INLINE = /styles: `([^`]*)`/g;

/** The styles of one file, each after as many empty lines as stand before it. */
function stylesOf(path) {
  const text = readFileSync(path, 'utf8');
  if (path.endsWith('.scss')) return [{ code: text, lines: text.trimEnd().split('\n').length }];
  return [...text.matchAll(INLINE)].map((found) => ({
    code: '\n'.repeat(text.slice(0, found.index).split('\n').length - 1) + found[1],
    lines: found[1].trim().split('\n').length,
  }));
}

const files = readdirSync(WEB, { recursive: true }).filter(
  (one) => /\.(scss|ts)$/.test(one) && !one.endsWith('.spec.ts'),
);
let lines = 0;
let faults = 0;
for (const file of files) {
  for (const style of stylesOf(join(WEB, file))) {
    lines += style.lines;
    const { results } = await stylelint.lint({ code: style.code, configBasedir: ROOT });
    for (const { line, column, text } of results.flatMap((one) => one.warnings)) {
      faults++;
      console.log(`web/src/${file}:${line}:${column}  ${text}`);
    }
  }
}
console.log(`${lines} lines of styles, ${faults} ${faults === 1 ? 'fault' : 'faults'}`);
process.exitCode = faults === 0 ? 0 : 1;
