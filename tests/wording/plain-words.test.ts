import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';
import { NOT_PLAIN } from './not-plain';

/** Where stands what people read: screens, texts of the widget, answers of the server. */
const ROOMS = ['src/ui', 'src/app', 'src/server', 'src/core/words', 'src/widget'];

describe('what people read', () => {
  const all = ROOMS.flatMap(wordsOfRoom);

  it('has none of the constructions that are read twice', () => {
    const found = all.flatMap(([where, said]) =>
      NOT_PLAIN.filter(([pattern]) => pattern.test(said)).map(
        ([, better]) => `${where} “${said}”: ${better}`,
      ),
    );
    expect(found).toEqual([]);
  });

  it('is really looked at: every room says something, in JSX and in strings', () => {
    for (const room of ROOMS)
      expect(
        all.filter(([where]) => where.startsWith(room)),
        room,
      ).not.toEqual([]);
    expect(all.length).toBeGreaterThan(1200);
    expect(all.map(([, said]) => said)).toContain(
      'Visitors see it when you publish. Three things, in any order:',
    );
  });
});

type Said = readonly [where: string, words: string];

function wordsOfRoom(room: string): Said[] {
  return readdirSync(room, { recursive: true, encoding: 'utf8' })
    .filter(
      (name) =>
        /\.tsx?$/.test(name) && !/\.test\.|migrations|repository|style\.ts|texts-(ar|de|pt)/.test(name),
    )
    .flatMap((name) => wordsOf(join(room, name)));
}

/** What a file says, by line. What is imported from, short codes, class names and what goes to the log are no words. */
function wordsOf(file: string): Said[] {
  const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true);
  const said: Said[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isTypeNode(node) || ts.isThrowStatement(node) || isLogged(node))
      return;
    if (isText(node)) {
      const words = node.text.replace(/\s+/g, ' ').trim();
      const { line } = source.getLineAndCharacterOfPosition(node.getStart());
      if (
        /[a-z’…] [a-z“]/i.test(words) &&
        !/^(GET|POST) |var\(--|solid var|^<!doctype|data-porch-open/.test(words)
      )
        said.push([`${file}:${line + 1}`, words]);
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return said;
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
