import { expect, test } from '@playwright/test';
import { buildSync } from 'esbuild';
import { runInThisContext } from 'node:vm';

/** The engine and sites by chance in one script: the same text runs in Node, on a page and in a worker. */
const script = buildSync({
  stdin: {
    contents: `
      import { decide } from './src/core/decide/decide';
      import { explain } from './src/core/decide/explain';
      import { anySite, anyVisit } from './tests/made/chance';
      import { diceOf } from './tests/made/dice';
      globalThis.decideAll = (count) => {
        const out = [];
        for (let turn = 0; turn < count; turn++) {
          const dice = diceOf(20261126 + turn);
          const [site, visit] = [anySite(dice), anyVisit(dice)];
          out.push(JSON.stringify([decide(site, visit), explain(site, visit)]));
        }
        return out;
      };`,
    resolveDir: process.cwd(),
    loader: 'ts',
  },
  bundle: true,
  write: false,
  format: 'iife',
  target: 'es2022',
  logLevel: 'error',
  alias: { 'node:module': './tests/made/zones-for-browsers.ts' },
}).outputFiles[0]?.text;

const COUNT = 400;

test('[D1] what is decided is the same to the byte in Node, in Chromium and in a worker', async ({
  page,
}) => {
  if (script === undefined) throw new Error('Expected a script.');
  runInThisContext(script);
  const inNode = (globalThis as unknown as { decideAll(count: number): string[] }).decideAll(COUNT);
  expect(new Set(inNode).size).toBeGreaterThan(COUNT / 2);
  await page.goto('about:blank');
  await page.addScriptTag({ content: script });
  const onPage = await page.evaluate(
    (count) => (window as unknown as { decideAll(count: number): string[] }).decideAll(count),
    COUNT,
  );
  expect(onPage).toEqual(inNode);
  const inWorker = await page.evaluate(
    ([text, count]) =>
      new Promise<string[]>((resolve, reject) => {
        const source = `${text};postMessage(decideAll(${count}))`;
        const worker = new Worker(URL.createObjectURL(new Blob([source], { type: 'text/javascript' })));
        worker.onmessage = ({ data }) => resolve(data as string[]);
        worker.onerror = ({ message }) => reject(new Error(message));
      }),
    [script, COUNT] as const,
  );
  expect(inWorker).toEqual(inNode);
});
