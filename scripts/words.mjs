/** Prints every word that a person reads: labels, tooltips, names for screen readers and messages. */
import { readFileSync } from 'node:fs';
import ts from 'typescript';

const FOLDERS = ['packages/web/src', 'packages/core/src', 'packages/server/src', 'packages/cli/src'];
/** Attributes, properties and variables that hold words of the screen. */
const HOLDERS =
  /^(aria-label|alt|title|name|label|labels|unit|hint|placeholder|words|word|says|what|held|free|help|explains|question|answer|meanwhile|message|summary|description|text|step|own|heading|empty|tells|by)$/;
/** What is called with words. */
const SAYERS =
  /^(announce|warn|inform|run|runHere|tryHere|say|said|refuse|problem|finding|fail|trouble|set|count|amiss|reject)$|Error$|Exception$/;
/** Records of words by their key. */
const RECORDS = /WORDS|LABELS|NAMES|SAYS|UNITS|^BY$|TITLES|CHOICES|HELP|FIELDS/;

const isWords = (text) => /\p{L}/u.test(text) && (/\s|^\p{Lu}/u.test(text.trim()) || text.trim().length > 3);

/** The words of an expression: “${…}” stands for what is put in. */
function wordsOf(node) {
  if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) return [node.text];
  if (ts.isTemplateExpression(node))
    return [node.head.text + node.templateSpans.map(({ literal }) => `…${literal.text}`).join('')];
  if (ts.isConditionalExpression(node)) return [...wordsOf(node.whenTrue), ...wordsOf(node.whenFalse)];
  if (ts.isParenthesizedExpression(node) || ts.isJsxExpression(node) || ts.isAsExpression(node))
    return node.expression ? wordsOf(node.expression) : [];
  if (ts.isBinaryExpression(node)) return [...wordsOf(node.left), ...wordsOf(node.right)];
  if (ts.isArrowFunction(node) && !ts.isBlock(node.body)) return wordsOf(node.body);
  return [];
}

/** Whether a node stands where words of the screen stand. */
function holds(node) {
  const { parent } = node;
  if (ts.isJsxAttribute(node)) return HOLDERS.test(node.name.getText());
  if (ts.isPropertyAssignment(node)) {
    if (HOLDERS.test(node.name.getText().replaceAll(/['"]/g, ''))) return true;
    for (let up = parent; up && !ts.isFunctionLike(up); up = up.parent)
      if (ts.isVariableDeclaration(up)) return RECORDS.test(up.name.getText());
    return false;
  }
  return false;
}

const found = new Map();
const files = FOLDERS.flatMap((folder) => ts.sys.readDirectory(folder, ['.ts', '.tsx']))
  .filter((file) => !/\.test\.|\/testing\/|\.d\.ts$/.test(file))
  .sort();
for (const file of files) {
  const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true);
  const add = (words) => {
    const one = words.replaceAll(/\s+/g, ' ').trim();
    if (isWords(one)) found.set(one, [...(found.get(one) ?? []), file]);
  };
  const visit = (node) => {
    if (ts.isJsxText(node)) add(node.text);
    else if (ts.isJsxExpression(node) && !ts.isJsxAttribute(node.parent)) wordsOf(node).forEach(add);
    else if (ts.isJsxAttribute(node) && holds(node) && node.initializer)
      wordsOf(node.initializer).forEach(add);
    else if (ts.isPropertyAssignment(node) && holds(node)) wordsOf(node.initializer).forEach(add);
    else if (
      (ts.isCallExpression(node) || ts.isNewExpression(node)) &&
      SAYERS.test(node.expression.getText().split('.').at(-1))
    )
      (node.arguments ?? []).forEach((argument) => wordsOf(argument).forEach(add));
    ts.forEachChild(node, visit);
  };
  visit(source);
}
for (const [words, files] of found) console.log(`${words}\t${[...new Set(files)].join(' ')}`);
