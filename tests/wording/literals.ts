import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';

/** A piece of text that stands in the source, at `file:line`. */
export type Literal = readonly [where: string, text: string];

/** Every text in a file, or in the files of a folder; tests are left out. */
export function literalsIn(room: string, leftOut: RegExp = /\.test\./): Literal[] {
  if (room.endsWith('.ts')) return literalsOf(room);
  return readdirSync(room, { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.tsx?$/.test(name) && !leftOut.test(name))
    .flatMap((name) => literalsOf(join(room, name)));
}

/** What the JSX of a folder says by itself: text between tags, and attributes that are read out or shown. */
export function literalsOfScreens(room: string): Literal[] {
  return readdirSync(room, { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith('.tsx'))
    .flatMap((name) => jsxLiteralsOf(join(room, name)));
}

const SAID_ATTRIBUTES = /^(label|title|placeholder|alt|helperText|aria-label|aria-description)$/;

function jsxLiteralsOf(file: string): Literal[] {
  const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true);
  const literals: Literal[] = [];
  const add = (node: ts.LiteralLikeNode, text: string): void => {
    const { line } = source.getLineAndCharacterOfPosition(node.getStart());
    if (/\p{L}/u.test(text)) literals.push([`${file}:${line + 1}`, text]);
  };
  const visit = (node: ts.Node): void => {
    if (ts.isJsxText(node))
      add(
        node,
        node.text
          .replace(/&quot;/g, '"')
          .replace(/&\w+;/g, '')
          .trim(),
      );
    else if (ts.isStringLiteralLike(node) && isSaid(node)) add(node, node.text);
    ts.forEachChild(node, visit);
  };
  visit(source);
  return literals;
}

/** Whether a text in quotes is said: by itself or in a choice, between tags or in an attribute that is read out. */
function isSaid(node: ts.Node): boolean {
  let above = node.parent;
  while (ts.isConditionalExpression(above) || ts.isParenthesizedExpression(above)) above = above.parent;
  const holder = ts.isJsxExpression(above) ? above.parent : above;
  if (ts.isJsxAttribute(holder)) return SAID_ATTRIBUTES.test(holder.name.getText());
  return ts.isJsxExpression(above) && (ts.isJsxElement(holder) || ts.isJsxFragment(holder));
}

/** The texts of a file: what is imported from, types, what is thrown and what goes to the log are none. */
function literalsOf(file: string): Literal[] {
  const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true);
  const literals: Literal[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isTypeNode(node) || ts.isThrowStatement(node) || isLogged(node))
      return;
    if (isText(node)) {
      const { line } = source.getLineAndCharacterOfPosition(node.getStart());
      literals.push([`${file}:${line + 1}`, node.text.replace(/\s+/g, ' ').trim()]);
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return literals;
}

function isText(node: ts.Node): node is ts.LiteralLikeNode {
  return (
    ts.isStringLiteralLike(node) ||
    ts.isTemplateHead(node) ||
    ts.isTemplateMiddleOrTemplateTail(node) ||
    ts.isJsxText(node)
  );
}

function isLogged(node: ts.Node): boolean {
  return ts.isCallExpression(node) && /^(log\.|console\.|runAside)/.test(node.expression.getText());
}
