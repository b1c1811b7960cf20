// npm run words: every text that a user can see, by file and line, to be read through. A part of a path leaves the rest out.
import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { ensureInstalled, root } from './lib/prepare.mjs';

await ensureInstalled();
const { default: ts } = await import('typescript');

/** Where texts stand; what is only asked of by tests is none of them. */
const FOLDERS = ['core/src', 'web/src', 'server/src'];
const isText = (name) => /\.tsx?$/.test(name) && !/\.test\.tsx?$/.test(name);
/** Attributes and calls whose strings nobody reads. */
const UNSEEN = new Set([
  'className',
  'id',
  'type',
  'key',
  'to',
  'href',
  'd',
  'viewBox',
  'role',
  'name',
  'htmlFor',
  'look',
]);
const UNREAD_CALLS =
  /^(import|require|RangeError|TypeError|querySelector|querySelectorAll|get|startsWith|useDraft|unit)$/;
/** A sentence or a name of several words, or one that begins like a sentence. */
const isSaid = (text) => /\p{L}{2,}.*\s.*\p{L}/u.test(text) || /^\p{Lu}\p{Ll}{2,}\.?$/u.test(text);
/** What looks like a sentence and is a list of classes, a statement for the database, a path or a colour. */
const isCode = (text) =>
  /(^|\s)[a-z]+-\[?[\w./#%-]+|\b(SELECT|INSERT|UPDATE|DELETE|CREATE|PRAGMA|ALTER|DROP)\b|^[./#@]|[{}<>;=]|::/.test(
    text,
  );

function* filesOf(folder) {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) {
      if (!['__tests__', 'node_modules', 'dist', '.cache', 'migrations'].includes(entry.name)) yield* filesOf(path);
    } else if (isText(entry.name)) yield path;
  }
}

const calledBy = (node) =>
  ts.isCallExpression(node) || ts.isNewExpression(node) ? (node.expression.name ?? node.expression).getText() : '';
function seen(node) {
  const { parent } = node;
  if (ts.isImportDeclaration(parent) || ts.isExportDeclaration(parent) || ts.isLiteralTypeNode(parent)) return false;
  if (ts.isJsxAttribute(parent)) return !UNSEEN.has(parent.name.getText());
  return !UNREAD_CALLS.test(calledBy(parent));
}

const [only = ''] = process.argv.slice(2);
for (const folder of FOLDERS)
  for (const file of filesOf(join(root, folder))) {
    const place = relative(root, file);
    if (!place.includes(only)) continue;
    const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true);
    const say = (node, text) => {
      const said = text.replace(/\s+/g, ' ').trim();
      if (!isSaid(said) || isCode(said)) return;
      const { line } = source.getLineAndCharacterOfPosition(node.getStart());
      console.log(`${place}:${line + 1}\t${said}`);
    };
    const walk = (node) => {
      if (ts.isJsxText(node)) say(node, node.text);
      else if (ts.isStringLiteralLike(node) && seen(node)) say(node, node.text);
      else if (ts.isTemplateExpression(node) && seen(node))
        say(node, node.head.text + node.templateSpans.map((s) => `…${s.literal.text}`).join(''));
      ts.forEachChild(node, walk);
    };
    walk(source);
  }
