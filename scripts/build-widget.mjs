// Builds the guest: porch.js (launcher and engine) and the panel, named by its content, into dist/widget.
import { build } from 'esbuild';
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
const [porch] = (await build({ ...common, entryPoints: ['src/widget/porch.ts'], format: 'iife' })).outputFiles;
const [panel] = (await build({ ...common, entryPoints: ['src/widget/panel/mount-panel.tsx'], format: 'esm' })).outputFiles;
const panelName = `panel-${createHash('sha256').update(panel.contents).digest('hex').slice(0, 16)}.js`;

writeFileSync(`${OUT}/porch.js`, porch.contents);
writeFileSync(`${OUT}/${panelName}`, panel.contents);
writeFileSync(`${OUT}/built.json`, JSON.stringify({ panel: panelName }));
const kb = (bytes) => `${(gzipSync(bytes, { level: 9 }).length / 1024).toFixed(2)} KB gzip`;
console.log(`widget: porch.js ${kb(porch.contents)}, ${panelName} ${kb(panel.contents)}`);

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
