// Lists the rules of docs/rules.md that no test is titled with, tests that name a rule which is not there, and comments that do. Each fails.
import { readFileSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';

const TAG = /\[((?:[A-Z]\d+)|(?:threat \d+))\]/g;
const kept = new Set(
  [...readFileSync('docs/rules.md', 'utf8').matchAll(/^\| \[((?:[A-Z]\d+)|(?:threat \d+))\] +\|/gm)].map(
    ([, tag]) => tag,
  ),
);
const titled = new Map();
for (const file of [...filesIn('src'), ...filesIn('tests')].filter((name) =>
  /\.(test|spec)\.tsx?$/.test(name),
))
  for (const [, , title] of readFileSync(file, 'utf8').matchAll(
    /\b(?:it|test)(?:\.each\([^]*?\))?\(\s*(['"`])(.*?)\1,/g,
  ))
    for (const [, tag] of title.matchAll(TAG)) titled.set(tag, file);

/** Rules that a comment names, by the file. */
const named = new Map();
for (const file of filesIn('src').filter((name) => /\.tsx?$/.test(name)))
  for (const line of readFileSync(file, 'utf8').split('\n'))
    if (/^\s*(\/\/|\/\*|\*)|\/\/ /.test(line)) for (const [, tag] of line.matchAll(TAG)) named.set(tag, file);

const unknown = [...named.keys()].filter((tag) => !kept.has(tag));
const untested = [...kept].filter((tag) => !titled.has(tag));
const unlisted = [...titled.keys()].filter((tag) => !kept.has(tag));
for (const tag of untested) console.log(`[${tag}] stands in docs/rules.md and no test is titled with it.`);
for (const tag of unlisted)
  console.log(`[${tag}] is tested in ${titled.get(tag)} and does not stand in docs/rules.md.`);
for (const tag of unknown)
  console.log(`[${tag}] is named in a comment of ${named.get(tag)} and does not stand in docs/rules.md.`);
console.log(`${kept.size - untested.length} of ${kept.size} rules have a test.`);
process.exit(untested.length + unlisted.length + unknown.length === 0 ? 0 : 1);

function filesIn(place) {
  return statSync(place).isDirectory()
    ? readdirSync(place).flatMap((name) => filesIn(join(place, name)))
    : [place];
}
