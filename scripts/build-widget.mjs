// Builds the guest into dist/widget: porch.js (launcher and engine), and, named by their content, the panel and the watch.
import { gzipAsync } from '@gfx/zopfli';
import { build, transform } from 'esbuild';
import { minify } from 'terser';
import { createHash } from 'node:crypto';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';

const OUT = 'dist/widget';
const SHORT_NAMES = JSON.parse(readFileSync('scripts/lib/short-names.json', 'utf8'));
rmSync(OUT, { recursive: true, force: true });
mkdirSync(OUT, { recursive: true });

const common = {
  bundle: true,
  minify: true,
  write: false,
  target: 'es2022',
  mangleProps: new RegExp(`^(?:${Object.keys(SHORT_NAMES).join('|')})$`),
  mangleCache: SHORT_NAMES,
  legalComments: 'none',
  jsxImportSource: 'preact',
  jsx: 'automatic',
  loader: { '.ts': 'ts' },
  charset: 'utf8',
  plugins: [tightCss()],
};
const porch = await bundle('src/widget/porch.ts', 'iife');
const panel = await bundle('src/widget/panel/mount-panel.tsx', 'esm');
const watch = await bundle('src/widget/visit/visit-runtime.ts', 'esm');
const draft = await bundle('src/widget/draft/draft.ts', 'esm');
const extras = await bundle('src/widget/extras/extras-style.ts', 'esm');
const named = (name, contents) =>
  `${name}-${createHash('sha256').update(contents).digest('hex').slice(0, 16)}.js`;
const panelName = named('panel', panel);
const watchName = named('watch', watch);

for (const [name, contents] of [
  ['porch.js', porch],
  ['draft.js', draft],
  ['extras.js', extras],
  [panelName, panel],
  [watchName, watch],
]) {
  // As browsers get it: Brotli over TLS, gzip otherwise, where Zopfli finds what zlib at its best leaves.
  const zipped = await gzipAsync(contents, { numiterations: 100 });
  const brotli = brotliCompressSync(contents, {
    params: {
      [constants.BROTLI_PARAM_QUALITY]: constants.BROTLI_MAX_QUALITY,
      [constants.BROTLI_PARAM_MODE]: constants.BROTLI_MODE_TEXT,
      [constants.BROTLI_PARAM_SIZE_HINT]: contents.length,
    },
  });
  writeFileSync(`${OUT}/${name}`, contents);
  writeFileSync(`${OUT}/${name}.gz`, zipped);
  writeFileSync(`${OUT}/${name}.br`, brotli);
  const kb = ({ length }) => (length / 1024).toFixed(2).padStart(5);
  console.log(`widget: ${kb(brotli)} KB brotli, ${kb(zipped)} KB gzip  ${name}`);
}
// Fonts that looks may ask for; Latin only, what is missing comes from the visitor's device.
for (const [name, from] of Object.entries({
  figtree: 'figtree',
  literata: 'literata',
  atkinson: 'atkinson-hyperlegible-next',
  fraunces: 'fraunces',
})) {
  const dir = `node_modules/@fontsource-variable/${from}`;
  const { version } = JSON.parse(readFileSync(`${dir}/package.json`, 'utf8'));
  const font = readFileSync(`${dir}/files/${from}-latin-wght-normal.woff2`);
  writeFileSync(`${OUT}/font-${name}-${version}.woff2.gz`, gzipSync(font));
}
writeFileSync(`${OUT}/built.json`, JSON.stringify({ panel: panelName, watch: watchName }));

/** Bundled, with the names in short-names.json shortened, then made smaller by a second minifier, which finds what the first leaves. */
async function bundle(entry, format) {
  const [file] = (await build({ ...common, entryPoints: [entry], format })).outputFiles;
  const options = {
    ecma: 2022,
    module: format === 'esm',
    toplevel: true,
    compress: {
      passes: 6,
      hoist_funs: format === 'iife',
      unsafe_comps: true,
      unsafe: true,
      unsafe_arrows: true,
      unsafe_methods: true,
      pure_getters: true,
    },
  };
  return Buffer.from((await minify(file.text, options)).code);
}

/** Style sheets are template strings in files of their own. */
function tightCss() {
  return {
    name: 'tight-css',
    setup(on) {
      on.onLoad({ filter: /style\.ts$/ }, async ({ path }) => {
        const [before, css, after] = readFileSync(path, 'utf8').split('`');
        const { code } = await transform(css, {
          loader: 'css',
          minify: true,
          charset: 'utf8',
          target: 'chrome100',
        });
        return { contents: `${before}\`${code.trim().replaceAll('\\', '\\\\')}\`${after}`, loader: 'ts' };
      });
    },
  };
}
