// Bundles the entry and the demo's maker into dist/server. Packages are taken in, since Node opens their hundreds of files one
// by one at every start; those with a compiled part, Next, and what is loaded at first use stay outside.
import { build } from 'esbuild';
import { rmSync } from 'node:fs';
import { createRequire } from 'node:module';

const require = createRequire(import.meta.url);
/** Data of a package is taken in: Node imports no JSON without a flag or a warning. */
const jsonInside = {
  name: 'json-inside',
  setup: (on) => on.onResolve({ filter: /^[^.].*\.json$/ }, ({ path }) => ({ path: require.resolve(path) })),
};

const entries = {
  entry: 'src/server/entry.ts',
  draw: 'src/server/pictures/draw-process.ts',
  'fill-demo': 'src/demo/fill.ts',
  'demo-site': 'src/demo/serve.ts',
};
rmSync('dist/server', { recursive: true, force: true }); // parts of an earlier build have other names
await build({
  entryPoints: entries,
  outdir: 'dist/server',
  outExtension: { '.js': '.mjs' },
  bundle: true,
  splitting: true,
  platform: 'node',
  mainFields: ['module', 'main'],
  format: 'esm',
  target: 'node20',
  external: ['better-sqlite3', '@node-rs/argon2', 'sharp', 'next', 'pino'],
  // Packages in the older format ask for Node's own modules by `require`.
  banner: {
    js: `import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);`,
  },
  plugins: [jsonInside],
  sourcemap: 'linked',
  logLevel: 'warning',
});
