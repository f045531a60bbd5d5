import { readFileSync, readdirSync } from 'node:fs';
import { join, relative } from 'node:path';
import ts from 'typescript';
import { root } from './shell.mjs';

const PLACES = ['src/core', 'src/data', 'src/features', 'src/ui', 'src/app', 'src/workers'];
const SKIP = /\.(test|long)\.tsx?$|\/testing\/|\/migrations\/|\/demo\//;
const ATTRIBUTES = new Set([
  'className',
  'id',
  'key',
  'href',
  'htmlFor',
  'type',
  'role',
  'd',
  'viewBox',
  'data-testid',
]);

function files(folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    return entry.isDirectory() ? files(path) : /\.tsx?$/.test(entry.name) && !SKIP.test(path) ? [path] : [];
  });
}

/** Words and not a name of something in the code: a space between letters, or a capital and small letters. */
function isText(text) {
  return /[A-Za-z]{2,}/.test(text) && (/[a-z,;:’] [a-zA-Z0-9“]/.test(text) || /^[A-Z][a-z]+[.:]?$/.test(text));
}

function isClassList(node) {
  for (let at = node.parent; at !== undefined; at = at.parent) {
    if (ts.isJsxAttribute(at)) return ATTRIBUTES.has(at.name.getText());
    if (ts.isCallExpression(at) && at.expression.getText() === 'classes') return true;
    if (ts.isImportDeclaration(at)) return true;
  }
  return false;
}

/**
 * Every text of the interface, out of its context: what stands between tags, in labels and in sentences.
 * @returns files with their texts, each text once; a place for a value is “…”
 */
export function interfaceTexts() {
  return PLACES.flatMap((place) => files(join(root, place))).flatMap((path) => {
    const source = ts.createSourceFile(path, readFileSync(path, 'utf8'), ts.ScriptTarget.Latest, true);
    const found = [];
    const visit = (node) => {
      if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) {
        if (isText(node.text) && !isClassList(node)) found.push(node.text);
      } else if (ts.isTemplateExpression(node)) {
        const text = [node.head.text, ...node.templateSpans.map((span) => `…${span.literal.text}`)].join('');
        if (isText(text) && !isClassList(node)) found.push(text);
      } else if (ts.isJsxText(node)) {
        const text = node.text.replace(/\s+/g, ' ').trim();
        if (/[A-Za-z]{2,}/.test(text)) found.push(text);
      }
      ts.forEachChild(node, visit);
    };
    visit(source);
    return found.length === 0 ? [] : [{ file: relative(root, path), texts: [...new Set(found)] }];
  });
}
