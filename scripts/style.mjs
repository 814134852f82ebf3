// Style that lint keeps: no conditional expression inside another, no assignment inside an expression, functions of 60 lines
// (components 100) and 4 parameters at most, a reason beside each catch that swallows. What stood before is counted in style-budget.json, by rule and folder; a count
// may only fall, and has to be written down when it does (node scripts/style.mjs --write).
import { readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { ESLint } from 'eslint';
import tseslint from 'typescript-eslint';

const BUDGET = 'scripts/style-budget.json';
const lines = (max) => ['warn', { max, skipBlankLines: true, skipComments: true, IIFEs: true }];
const rules = {
  'no-nested-ternary': 'warn',
  'max-params': ['warn', 4],
  'max-lines-per-function': lines(60),
  'no-restricted-syntax': [
    'warn',
    {
      selector:
        ':not(ExpressionStatement):not(ForStatement):not(ArrowFunctionExpression) > AssignmentExpression',
      message: 'An assignment inside an expression.',
    },
    {
      selector: 'ArrowFunctionExpression > AssignmentExpression.body',
      message: 'An assignment inside an expression.',
    },
  ],
};
const eslint = new ESLint({
  overrideConfigFile: true,
  allowInlineConfig: false,
  overrideConfig: [
    { files: ['**/*.{ts,tsx}'], languageOptions: { parser: tseslint.parser }, rules },
    { files: ['**/*.tsx'], rules: { 'max-lines-per-function': lines(100) } },
    { files: ['**/*.test.ts'], rules: { 'max-lines-per-function': 'off' } },
  ],
});
const counts = {};
for (const { filePath, messages } of await eslint.lintFiles(['src/**/*.{ts,tsx}']))
  for (const { ruleId, line, fatal, message } of messages) {
    if (fatal) throw new Error(`${filePath}:${line}: ${message}`);
    const [, folder] = relative('.', filePath).split('/');
    const name = `${folder}: ${ruleId === 'no-restricted-syntax' ? 'assignment-in-expression' : ruleId}`;
    counts[name] = (counts[name] ?? 0) + 1;
    if (process.argv.includes('--list')) console.log(`${name}  ${relative('.', filePath)}:${line}`);
  }
// A catch that swallows says why beside it.
for (const file of readdirSync('src', { recursive: true, encoding: 'utf8' })) {
  if (!/\.tsx?$/.test(file) || file.includes('.test.')) continue;
  const text = readFileSync(join('src', file), 'utf8');
  const blocks = [...text.matchAll(/catch \{\n((?:.*\n)*?)\s*\}/g)].filter(
    ([, block]) => !block.includes('//'),
  );
  const calls = [...text.matchAll(/(.*\n)?.*\.catch\(\(\) => (?:undefined|null|\[\]|\(\{\}\))\).*/g)].filter(
    ([call]) => !/\/[/*]/.test(call),
  );
  if (blocks.length + calls.length === 0) continue;
  const name = `${file.split('/')[0]}: catch-without-reason`;
  counts[name] = (counts[name] ?? 0) + blocks.length + calls.length;
  if (process.argv.includes('--list')) console.log(`${name}  src/${file}`);
}
const sorted = Object.fromEntries(Object.entries(counts).sort(([a], [b]) => (a < b ? -1 : 1)));
if (process.argv.includes('--write')) writeFileSync(BUDGET, `${JSON.stringify(sorted, null, 2)}\n`);
const budget = JSON.parse(readFileSync(BUDGET, 'utf8'));
const names = [...new Set([...Object.keys(budget), ...Object.keys(sorted)])].sort();
const other = names.filter((name) => (budget[name] ?? 0) !== (sorted[name] ?? 0));
for (const name of other) {
  const [was, is] = [budget[name] ?? 0, sorted[name] ?? 0];
  console.error(
    is > was
      ? `${name}: ${is}, and ${was} are allowed. See them: node scripts/style.mjs --list`
      : `${name}: ${is}, fewer than the ${was} written down. Write it down: node scripts/style.mjs --write`,
  );
}
console.log(`${Object.values(sorted).reduce((sum, one) => sum + one, 0)} places of an older style are left`);
process.exit(other.length === 0 ? 0 : 1);
