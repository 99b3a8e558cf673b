/**
 * npm run sentences: prints every sentence of the product to one page, .cache/sentences.md, for reading
 * aloud. Computed ones are filled in: numbers with 0, 1, 2 and 10, names with one, two and three, words
 * that depend on either as they then are. At the end stands what every activity asks at the table.
 * The compiled core must be there (npm run build).
 */
import { execFileSync } from 'node:child_process';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { counted, joinWords, numberWord, plural, seeded, timesWords } from '@gumo/core/numbers';
import { LIBRARY } from '@gumo/core/activities';
import { playOut, playStateOf } from '@gumo/core/rounds';
import { emptyState } from '@gumo/core/evidence';
import { ROOT } from './lib/steps.mjs';
import { textsOfTemplate } from './lib/words.mjs';

const NAMES = [['Ilse'], ['Ilse', 'Kofi'], ['Ilse', 'Kofi', 'Mirela']];
/** What every sentence is filled with. */
const CASES = [0, 1, 2, 10].map((n, i) => ({ n, names: NAMES[Math.max(0, i - 1)] }));
const RANGES = [5, 10, 20];
const QUESTIONS = 30;

const files = execFileSync('git', ['ls-files', 'core/src', 'server/src', 'web/src/app'], {
  cwd: ROOT,
  encoding: 'utf8',
})
  .split('\n')
  .filter((path) => /\.(ts|html)$/.test(path) && !/\.spec\.ts$|\/testing|-testing/.test(path));

const program = ts.createProgram(
  files.filter((path) => path.endsWith('.ts')).map((path) => join(ROOT, path)),
  {
    target: ts.ScriptTarget.ES2022,
    module: ts.ModuleKind.ESNext,
    moduleResolution: ts.ModuleResolutionKind.Bundler,
    strict: true,
    skipLibCheck: true,
    noEmit: true,
    experimentalDecorators: true,
    types: [],
  },
);
const checker = program.getTypeChecker();

const capital = (text) => text.charAt(0).toUpperCase() + text.slice(1);
/** What a word is called where only its place is known: ‹title›. */
const placeOf = (code) =>
  `‹${code
    .replace(/[()!?\s]/g, '')
    .split('.')
    .pop()
    .slice(0, 24)}›`;
const isMany = (code) => /length|size/.test(code);

/** A condition such as "n === 1" or "names.length > 1", decided for one case; null where it is another. */
function decided(code, { n, names }) {
  const found = /^(.*?)\s*(===|!==|>=|<=|>|<)\s*(\d+)$/.exec(code.trim());
  if (!found) return null;
  const value = isMany(found[1]) ? names.length : n;
  const other = Number(found[3]);
  return {
    '===': value === other,
    '!==': value !== other,
    '>': value > other,
    '<': value < other,
    '>=': value >= other,
    '<=': value <= other,
  }[found[2]];
}

const WORDS = {
  plural: (fill, one, [n, a, b]) => plural(amount(n, one), fill(a), fill(b)),
  counted: (fill, one, [n, a, b]) => counted(amount(n, one), fill(a), fill(b)),
  timesWords: (fill, one) => timesWords(one.n),
  times: (fill, one, [, word]) =>
    word ? counted(one.n, fill(word), `${fill(word)}s`) : `${one.n}`,
  joinWords: (fill, one) => joinWords(one.names),
  numberWord: (fill, one) => numberWord(one.n),
  Word: (fill, one) => capital(numberWord(one.n)),
  capital: (fill, one, [word]) => capital(fill(word)),
};
const amount = (node, one) => (isMany(node.getText()) ? one.names.length : one.n);

/** What an expression says in one case. */
function say(node, one) {
  const fill = (inner) => say(inner, one);
  if (ts.isParenthesizedExpression(node)) return fill(node.expression);
  if (ts.isStringLiteralLike(node)) return node.text;
  if (ts.isTemplateExpression(node)) {
    return (
      node.head.text + node.templateSpans.map((s) => fill(s.expression) + s.literal.text).join('')
    );
  }
  if (ts.isConditionalExpression(node)) {
    const is = decided(node.condition.getText(), one);
    if (is !== null) return fill(is ? node.whenTrue : node.whenFalse);
    return `[${fill(node.whenTrue)} | ${fill(node.whenFalse)}]`;
  }
  if (ts.isCallExpression(node)) {
    const word = WORDS[node.expression.getText()];
    if (word) return word(fill, one, node.arguments);
  }
  const type = checker.getTypeAtLocation(node);
  const kinds = type.isUnion() ? type.types : [type];
  if (kinds.every((kind) => kind.isStringLiteral())) {
    return kinds.length > 5 ? placeOf(node.getText()) : kinds.map((kind) => kind.value).join('/');
  }
  if (kinds.every((kind) => kind.flags & ts.TypeFlags.NumberLike)) return String(one.n);
  if (/names/i.test(node.getText())) return joinWords(one.names);
  if (/name\b|child\b/i.test(node.getText())) return one.names[0];
  return placeOf(node.getText());
}

const isSentence = (text) => /[a-z]{2,}[^a-z]*\s/i.test(text) && !/^[\d\s.,MLCQZ-]+$/.test(text);
const isQuiet = (node) =>
  ts.isImportDeclaration(node) ||
  (ts.isPropertyAssignment(node) &&
    ['styles', 'selector', 'styleUrl', 'templateUrl', 'host'].includes(node.name.getText()));

function sentencesOfCode(path) {
  const found = [];
  const visit = (node) => {
    if (isQuiet(node)) return;
    if (ts.isPropertyAssignment(node) && node.name.getText() === 'template') {
      if (ts.isStringLiteralLike(node.initializer))
        found.push(...sentencesOfTemplate(node.initializer.text));
      return;
    }
    if (ts.isTemplateExpression(node)) {
      if (
        isSentence(
          [node.head, ...node.templateSpans.map((s) => s.literal)].map((p) => p.text).join(' … '),
        )
      )
        found.push(CASES.map((one) => say(node, one)));
      return;
    }
    if (ts.isStringLiteralLike(node) && isSentence(node.text)) found.push([node.text]);
    ts.forEachChild(node, visit);
  };
  const source = program.getSourceFile(join(ROOT, path));
  if (source) visit(source);
  return found;
}

/** An expression of a template, with its pipes, in one case. */
function sayPiped(code, one) {
  const [value, pipe, ...args] = code.split(/\s*(?:\||:)\s*(?=(?:[^']*'[^']*')*[^']*$)/);
  const words = args.map((arg) => arg.replace(/^'|'$/g, ''));
  const n = isMany(value) ? one.names.length : one.n;
  if (pipe === 'plural') return plural(n, words[0], words[1]);
  if (pipe === 'counted') return counted(n, words[0], words[1]);
  if (pipe === 'times') return timesWords(n);
  if (/names/i.test(value)) return joinWords(one.names);
  if (/name$|name\(\)$/i.test(value)) return one.names[0];
  if (/count|length|size|minutes|number/i.test(value)) return String(n);
  return placeOf(value);
}

const sentencesOfTemplate = (template) =>
  textsOfTemplate(template, 1, (code) => `⟦${code.trim()}⟧`)
    .map(({ text }) => text)
    .filter(isSentence)
    .map((text) =>
      CASES.map((one) => text.replace(/⟦([^⟧]*)⟧/g, (_, code) => sayPiped(code, one))),
    );

/** What is asked and said back in one activity, each once. */
function atTheTable(activity) {
  const said = new Set();
  for (const modes of [['speaks'], ['points', 'hands'], ['fingers']]) {
    for (const top of RANGES) {
      const state = playStateOf({
        activity,
        top,
        state: emptyState('c', 'balanced'),
        name: 'Ilse',
        modes,
        wants: [],
        today: '2026-03-10',
        seed: `${activity.id}/${top}`,
      });
      const right = () => ({ outcome: 'own', tapped: null });
      for (const { question } of playOut(state, QUESTIONS, seeded(top), right)) {
        for (const text of [question.say, question.lay, question.sentence?.words ?? '']) {
          if (text !== '') said.add(text);
        }
      }
    }
  }
  return [...said];
}

const page = [
  '# Every sentence of Gumo',
  '',
  'Words between [ | ] are ways of saying it; ‹ › is filled in.',
  '',
];
let all = 0;
const seen = new Set();
for (const path of files) {
  const found = path.endsWith('.html')
    ? sentencesOfTemplate(readFileSync(join(ROOT, path), 'utf8'))
    : sentencesOfCode(path);
  const lines = [...new Set(found.flat())].filter((line) => !seen.has(line));
  lines.forEach((line) => seen.add(line));
  if (lines.length === 0) continue;
  page.push(`## ${path}`, '', ...lines.map((line) => `- ${line.replace(/\s+/g, ' ')}`), '');
  all += lines.length;
}
for (const activity of LIBRARY) {
  const lines = atTheTable(activity);
  page.push(`## At the table: ${activity.title}`, '', ...lines.map((line) => `- ${line}`), '');
  all += lines.length;
}
mkdirSync(join(ROOT, '.cache'), { recursive: true });
writeFileSync(join(ROOT, '.cache/sentences.md'), page.join('\n'));
console.log(`${all} sentences in .cache/sentences.md`);
