import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';

const HERE = 'src/ui/wording';

/** Constructions that have to be read twice, and the everyday word that stands for each. */
const NOT_PLAIN: readonly (readonly [pattern: RegExp, better: string])[] = [
  [/\b(is|are) to be\b/i, 'must, or say what to do'],
  [/\bstands?\b/i, 'is, shows'],
  [/\bgoes by\b/i, 'uses'],
  [/\blies over\b/i, 'covers'],
  [/\bcomes to\b/i, 'ends at, is'],
  [/\bmend(s|ed|ing)?\b/i, 'fix'],
  [/\bput aside\b/i, 'dismissed'],
  [/\bworth a look\b/i, 'suggestion'],
  [/\bby hand\b/i, 'say who does it'],
  [/\bmeanwhile\b/i, 'in the meantime'],
  [/\b(somebody|nobody|everybody|you are|I am) (is )?in\b(?! )/i, 'answering'],
  [/(?<!e-)\bmail\b/i, 'e-mail'],
  [/\bword of comfort\b/i, 'reassure'],
  [/\bout of sight\b/i, 'hidden'],
  [/\bnot while not?\b/i, 'only while'],
  [/\bas we would have\b/i, 'our defaults'],
  [/(?<!Sunny )\bporch\b/i, 'widget, site'],
  [/\bthe tag\b/i, 'your snippet'],
];

/** What a file of words says, by line. What is imported from, and short codes, are no words. */
function wordsOf(file: string): readonly (readonly [line: number, said: string])[] {
  const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true);
  const said: (readonly [number, string])[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isTypeNode(node)) return;
    if (ts.isStringLiteralLike(node) || ts.isTemplateHead(node) || ts.isTemplateMiddleOrTemplateTail(node))
      said.push([source.getLineAndCharacterOfPosition(node.getStart()).line + 1, node.text]);
    ts.forEachChild(node, visit);
  };
  visit(source);
  return said.filter(([, text]) => /\s/.test(text.trim()));
}

describe('the words of the screens', () => {
  const files = readdirSync(HERE).filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts'));

  it('have none of the constructions that are read twice', () => {
    const found = files.flatMap((name) =>
      wordsOf(join(HERE, name)).flatMap(([line, said]) =>
        NOT_PLAIN.filter(([pattern]) => pattern.test(said)).map(
          ([, better]) => `${name}:${line} “${said.trim()}”: ${better}`,
        ),
      ),
    );
    expect(found).toEqual([]);
  });

  it('are really looked at: each list of words says something', () => {
    expect(files.length).toBeGreaterThan(15);
    expect(files.flatMap((name) => wordsOf(join(HERE, name))).length).toBeGreaterThan(400);
  });
});
