// Lists the rules of docs/rules.md that no test is titled with, and tests that name a rule which is not there. Either fails.
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

const untested = [...kept].filter((tag) => !titled.has(tag));
const unlisted = [...titled.keys()].filter((tag) => !kept.has(tag));
for (const tag of untested) console.log(`[${tag}] stands in docs/rules.md and no test is titled with it.`);
for (const tag of unlisted)
  console.log(`[${tag}] is tested in ${titled.get(tag)} and does not stand in docs/rules.md.`);
console.log(`${kept.size - untested.length} of ${kept.size} rules have a test.`);
process.exit(untested.length + unlisted.length === 0 ? 0 : 1);

function filesIn(place) {
  return statSync(place).isDirectory()
    ? readdirSync(place).flatMap((name) => filesIn(join(place, name)))
    : [place];
}
