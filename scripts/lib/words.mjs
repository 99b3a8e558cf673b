/** What a person reads in a file: text and labels of templates, sentences in code, prose of documents. */
import { readFileSync } from 'node:fs';
import ts from 'typescript';

const LABELS = /\s(?:aria-label|title|placeholder|alt|label)="([^"]*)"/g;
const QUOTED = /'([^'\n]*)'/g;
const CONTROL = /@let\b[^;]*;|@(?:if|else if|for|switch|case|defer)\b[^{]*\{/g;
const NO_TEXT = new Set(['styles', 'selector', 'styleUrl', 'templateUrl']);
/** Ids and keys have neither a space nor a capital. */
const isProse = (text) => /[ A-Z]/.test(text) && /[a-z]{2}/.test(text);
const blank = (found) => found.replace(/[^\n]/g, ' ');

/**
 * @param filled what stands for an expression; left out where it is not given
 * @returns {{ line: number, text: string }[]} what a template says, with labels and words in its expressions
 */
export function textsOfTemplate(template, line = 1, filled = null) {
  const found = [];
  const lineOf = (at) => line + template.slice(0, at).split('\n').length - 1;
  for (const label of template.matchAll(LABELS)) {
    found.push({ line: lineOf(label.index), text: label[1] });
  }
  for (const quoted of template.matchAll(QUOTED)) {
    if (isProse(quoted[1])) found.push({ line: lineOf(quoted.index), text: quoted[1] });
  }
  const bare = template
    .replace(/<!--[\s\S]*?-->/g, blank)
    .replace(/<[^>]*>/g, (tag) =>
      /^<\/?(?:strong|b|em|i|span|a)\b/.test(tag) ? blank(tag) : `¦${blank(tag).slice(1)}`,
    )
    .replace(CONTROL, (found) => `¦${blank(found).slice(1)}`)
    .replace(/\{\{([\s\S]*?)\}\}/g, (found, code) => (filled ? filled(code) : blank(found)));
  let at = 0;
  for (const piece of bare.split(/([¦{}])/)) {
    const text = piece.replace(/\s+/g, ' ').trim();
    if (/[a-z]{2}/i.test(text)) found.push({ line: lineOf(at + piece.search(/\S/)), text });
    at += piece.length;
  }
  return found;
}

/** @returns {{ line: number, text: string }[]} sentences of a file of code, and what its template says */
export function textsOfCode(code) {
  const found = [];
  const source = ts.createSourceFile('a.ts', code, ts.ScriptTarget.Latest, true);
  const lineOf = (node) => source.getLineAndCharacterOfPosition(node.getStart(source)).line + 1;
  const visit = (node) => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node)) return;
    if (ts.isPropertyAssignment(node)) {
      const name = node.name.getText(source);
      if (NO_TEXT.has(name)) return;
      if (name === 'template' && ts.isStringLiteralLike(node.initializer)) {
        found.push(...textsOfTemplate(node.initializer.text, lineOf(node)));
        return;
      }
    }
    if (ts.isStringLiteralLike(node) && isProse(node.text)) {
      found.push({ line: lineOf(node), text: node.text.replace(/\s+/g, ' ') });
    } else if (ts.isTemplateExpression(node)) {
      const parts = [node.head.text, ...node.templateSpans.map((span) => span.literal.text)];
      found.push({ line: lineOf(node), text: parts.join('…').replace(/\s+/g, ' ') });
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

/** @returns {{ line: number, text: string }[]} the lines of a document that are no code */
export function textsOfDocument(text) {
  let inCode = false;
  return text.split('\n').flatMap((one, i) => {
    const isFence = one.startsWith('```');
    if (isFence) inCode = !inCode;
    return inCode || isFence ? [] : [{ line: i + 1, text: one.replace(/`[^`]*`/g, '') }];
  });
}

/** What a file says, by its kind. */
export function textsOfFile(path) {
  const text = readFileSync(path, 'utf8');
  if (path.endsWith('.md')) return textsOfDocument(text);
  return path.endsWith('.html') ? textsOfTemplate(text) : textsOfCode(text);
}

/**
 * Words that a text should not have, with what to say.
 * @param rules { not, say, except? }: regular expressions, whole words in any case
 */
export function faultsIn(text, rules) {
  return rules.flatMap(({ not, say, except }) => {
    const rest = except ? text.replace(new RegExp(except, 'gi'), '') : text;
    const found = new RegExp(`(?<![\\w-])(?:${not})(?![\\w-])`, 'i').exec(rest);
    return found ? [`“${found[0]}”: say ${say}`] : [];
  });
}
