// Builds the guest into dist/widget: porch.js (launcher and engine), and, named by their content, the panel and the watch.
import { build } from 'esbuild';
import { minify } from 'terser';
import { createHash } from 'node:crypto';
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';

const OUT = 'dist/widget';
rmSync(OUT, { recursive: true, force: true });
mkdirSync(OUT, { recursive: true });

const common = {
  bundle: true,
  minify: true,
  write: false,
  target: 'es2020',
  legalComments: 'none',
  jsxImportSource: 'preact',
  jsx: 'automatic',
  loader: { '.ts': 'ts' },
  charset: 'utf8',
  plugins: [tightCss()],
};
const porch = await bundle('src/widget/porch.ts', 'iife');
const panel = await bundle('src/widget/panel/mount-panel.tsx', 'esm');
const watch = await bundle('src/widget/watch/watch.ts', 'esm');
const named = (name, contents) => `${name}-${createHash('sha256').update(contents).digest('hex').slice(0, 16)}.js`;
const panelName = named('panel', panel);
const watchName = named('watch', watch);

writeFileSync(`${OUT}/porch.js`, porch);
writeFileSync(`${OUT}/${panelName}`, panel);
writeFileSync(`${OUT}/${watchName}`, watch);
writeFileSync(`${OUT}/built.json`, JSON.stringify({ panel: panelName, watch: watchName }));
const kb = (bytes) => `${(gzipSync(bytes, { level: 9 }).length / 1024).toFixed(2)} KB gzip`;
console.log(`widget: porch.js ${kb(porch)}, ${panelName} ${kb(panel)}, ${watchName} ${kb(watch)}`);

/** Bundled, then made smaller by a second minifier, which finds what the first leaves. */
async function bundle(entry, format) {
  const [file] = (await build({ ...common, entryPoints: [entry], format })).outputFiles;
  const options = {
    ecma: 2020,
    module: format === 'esm',
    compress: { passes: 3, pure_getters: true, unsafe_arrows: true, unsafe_methods: true },
  };
  return Buffer.from((await minify(file.text, options)).code);
}

/** Style sheets are template strings; line breaks and runs of spaces in them are bytes for nothing. */
function tightCss() {
  return {
    name: 'tight-css',
    setup(on) {
      on.onLoad({ filter: /style\.ts$/ }, async ({ path }) => {
        const { readFileSync } = await import('node:fs');
        const text = readFileSync(path, 'utf8').replace(
          /`([^`]+)`/,
          (whole, css) =>
            `\`${css
              .replace(/\s+/g, ' ')
              .replace(/ ?([{};]) ?/g, '$1')
              .trim()}\``,
        );
        return { contents: text, loader: 'ts' };
      });
    },
  };
}
