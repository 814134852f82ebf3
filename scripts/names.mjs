// No exported type, interface or constant is declared in two files, so that a name means one thing wherever it is read.
// Names that Next prescribes in src/app are its own. Prints each name that is declared twice, with its files.
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
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
console.log(`${declaredIn.size} exported names, ${twice.length} declared twice`);
process.exit(twice.length === 0 ? 0 : 1);

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
