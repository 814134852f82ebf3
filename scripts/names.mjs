// Names: no exported type, interface or constant is declared in two files, so that a name means one thing wherever it is read.
// Names that Next prescribes in src/app are its own. docs/words.md stays
// short, every document that a source file names exists, and so does every file that a document names. Prints what does not hold.
import { existsSync, readFileSync, readdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import ts from 'typescript';

const declaredIn = new Map();
for (const file of readdirSync('src', { recursive: true, encoding: 'utf8' })) {
  if (!/\.tsx?$/.test(file) || /\.(test|d)\.tsx?$/.test(file) || file.startsWith('app/')) continue;
  if (file.includes('db/migrations/')) continue; // each stands by itself, and is never edited
  for (const name of exportedNames(join('src', file)))
    declaredIn.set(name, [...(declaredIn.get(name) ?? []), join('src', file)]);
}
const twice = [...declaredIn].filter(([, files]) => files.length > 1);
for (const [name, files] of twice) console.error(`${name} is declared in ${files.join(' and ')}`);
const words = readFileSync('docs/words.md', 'utf8').match(/^\| (?!word |---)/gm) ?? [];
if (words.length > 25) console.error(`docs/words.md has ${words.length} rows; a newcomer learns 25`);
const missing = [...missingDocuments(), ...missingFiles()];
for (const [document, file] of missing) console.error(`${file} names ${document}, which is not here`);
console.log(`${declaredIn.size} exported names, ${twice.length} declared twice`);
process.exit(twice.length + missing.length === 0 && words.length <= 25 ? 0 : 1);

/** Documents that a source file or a document names and that are not in docs/ or beside the README. */
function missingDocuments() {
  const sources = ['src', 'tests', 'bench', 'scripts'].flatMap((dir) =>
    readdirSync(dir, { recursive: true, encoding: 'utf8' })
      .filter((file) => /\.(tsx?|mjs)$/.test(file))
      .map((file) => join(dir, file)),
  );
  const besides = readdirSync('.').filter((name) => /\.(mjs|ts|md)$/.test(name));
  const documents = readdirSync('docs').filter((name) => name.endsWith('.md'));
  return [...sources, ...besides, ...documents.map((name) => join('docs', name))].flatMap((file) =>
    [...readFileSync(file, 'utf8').matchAll(/\b(?:docs\/)?[\w-]+\.md\b/g)]
      .map(([document]) => document)
      .filter((document) => !existsSync(document) && !existsSync(join(dirname(file), document)))
      .map((document) => [document, file]),
  );
}

/** Files of ours that a document names (`core/decide/decide.ts`, `tests/made`) and that are nowhere. */
function missingFiles() {
  const documents = [
    ...readdirSync('.').filter((name) => name.endsWith('.md')),
    ...readdirSync('docs')
      .filter((name) => name.endsWith('.md'))
      .map((name) => join('docs', name)),
  ];
  return documents.flatMap((document) =>
    [...readFileSync(document, 'utf8').matchAll(/`([\w.-]+(?:\/[\w.[\]-]+)+)\/?`/g)]
      .map(([, named]) => named)
      .filter((named) =>
        /^(src|core|formats|widget|server|ui|app|demo|workers|tests|scripts|bench)\//.test(named),
      )
      .filter((named) => !existsSync(named) && !existsSync(join('src', named)))
      .map((named) => [named, document]),
  );
}

/** Types, interfaces, classes and constants (and functions, which are constants too) that a file declares and exports. */
function exportedNames(path) {
  const source = ts.createSourceFile(path, readFileSync(path, 'utf8'), ts.ScriptTarget.Latest, true);
  return source.statements.filter(isExported).flatMap((statement) => {
    if (ts.isVariableStatement(statement))
      return statement.declarationList.declarations.map(({ name }) => name.getText(source));
    const isNamed =
      ts.isTypeAliasDeclaration(statement) ||
      ts.isInterfaceDeclaration(statement) ||
      ts.isClassDeclaration(statement) ||
      ts.isFunctionDeclaration(statement);
    return isNamed && statement.name ? [statement.name.text] : [];
  });
}

function isExported(statement) {
  return ts.canHaveModifiers(statement)
    ? (ts.getModifiers(statement) ?? []).some(({ kind }) => kind === ts.SyntaxKind.ExportKeyword)
    : false;
}
