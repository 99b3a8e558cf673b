/** What a browser transfers (gzip) until Today stands on screen, from the built files. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { ROOT } from '../scripts/lib/steps.mjs';
import { table } from './lib.mjs';

const FOLDER = join(ROOT, 'web/dist/browser');
const kB = (bytes) => `${(bytes / 1000).toFixed(1)} kB`;

/** Files that Today needs: what the page names, and everything those import without being asked. */
function filesOfToday() {
  const stats = JSON.parse(readFileSync(join(ROOT, 'web/dist/stats.json'), 'utf8'));
  const outputs = stats.outputs;
  const entries = Object.entries(outputs);
  const of = (end) => entries.find(([, one]) => one.entryPoint?.endsWith(end))?.[0];
  const wanted = new Set();
  const visit = (name) => {
    if (!name || wanted.has(name) || !outputs[name]) return;
    wanted.add(name);
    for (const one of outputs[name].imports) {
      if (one.kind === 'import-statement') visit(one.path);
    }
  };
  visit(of('src/main.ts'));
  visit(of('places/today/today.ts'));
  const html = readFileSync(join(FOLDER, 'index.html'), 'utf8');
  for (const [, name] of html.matchAll(/(?:href|src)="([^"]+\.(?:css|js))"/g)) wanted.add(name);
  return ['index.html', ...wanted];
}

export function transfer() {
  const sizes = filesOfToday().map((name) => ({
    name,
    bytes: gzipSync(readFileSync(join(FOLDER, name))).length,
  }));
  const sum = (end) =>
    sizes.filter((one) => one.name.endsWith(end)).reduce((all, one) => all + one.bytes, 0);
  const total = sizes.reduce((all, one) => all + one.bytes, 0);
  return [
    '## Initial transfer of Today',
    '',
    'gzip, without fonts, from the built files. Goal: at most 300 kB.',
    '',
    table([
      ['scripts', 'styles', 'page', 'total', 'files'],
      [kB(sum('.js')), kB(sum('.css')), kB(sum('.html')), kB(total), String(sizes.length)],
    ]),
  ].join('\n');
}
